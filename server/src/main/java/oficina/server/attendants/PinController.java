package oficina.server.attendants;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import oficina.core.passwords.PinRules;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Listening to one's messages by telephone. */
@RestController
@RequestMapping("/api/voicemail-by-telephone")
class PinController {
  private final Pins pins;
  private final OfficeData office;

  PinController(Pins pins, OfficeData office) {
    this.pins = pins;
    this.office = office;
  }

  /**
   * @param extension at which messages are read out; absent when they are not
   * @param pinIsSet whether one has a secret number; without it nothing is read out
   */
  record ByTelephone(@Schema(nullable = true) @Nullable String extension, boolean pinIsSet) {}

  /** Where one's messages are read out. */
  @GetMapping
  ByTelephone how(@AuthenticationPrincipal Employee me) {
    return new ByTelephone(office.settings().voicemail().extension(), pins.isSet(me.id()));
  }

  record Pin(@NotNull @Pattern(regexp = "[0-9]{4,10}") String pin) {}

  /** Set the secret number. */
  @PutMapping("/pin")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void set(@AuthenticationPrincipal Employee me, @Valid @RequestBody Pin pin) {
    if (PinRules.isTooSimple(pin.pin(), office.person(me.id()).extension())) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "PIN_TOO_SIMPLE");
    }
    pins.set(me.id(), pin.pin());
  }
}
