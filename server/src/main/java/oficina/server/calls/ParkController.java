package oficina.server.calls;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.SendCommand;
import oficina.core.people.PersonId;
import oficina.server.passwords.Employee;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Calls that wait in a slot until somebody takes them. */
@RestController
@RequestMapping("/api")
class ParkController {
  private final Commands commands;

  ParkController(Commands commands) {
    this.commands = commands;
  }

  /**
   * Where and for whom to park.
   *
   * @param slot the next free one when absent
   * @param forWhom anybody when absent
   * @param note what is to be known of the call
   */
  record Parked(
      @Schema(nullable = true) @Nullable @Size(max = 8) String slot,
      @Schema(nullable = true) @Nullable Long forWhom,
      @Schema(nullable = true) @Nullable @Size(max = 200) String note) {}

  /**
   * Who takes a parked call.
   *
   * @param call the call expected in the slot; whatever waits there when absent
   * @param evenForOthers whether it is wanted even if it is meant for somebody else
   */
  record Taken(
      @Schema(nullable = true) @Nullable @Size(max = 80) String call,
      @NotNull @Pattern(regexp = CallController.DEVICE) String device,
      @Schema(nullable = true) @Nullable Boolean evenForOthers) {}

  /** Park a call. */
  @PostMapping("/calls/{id}/park")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void park(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Parked parked) {
    commands.carryOut(
        new SendCommand.Park(
            new CallId(id),
            me.id(),
            parked.slot(),
            parked.forWhom() == null ? null : new PersonId(parked.forWhom()),
            parked.note() == null ? "" : parked.note().strip()));
  }

  /** Take the call that waits in a slot. */
  @PostMapping("/slots/{slot}/take")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @AuthenticationPrincipal Employee me,
      @PathVariable String slot,
      @Valid @RequestBody Taken taken) {
    commands.carryOut(
        new SendCommand.TakeParked(
            taken.call() == null ? null : new CallId(taken.call()),
            me.id(),
            new DeviceId(taken.device()),
            slot,
            Boolean.TRUE.equals(taken.evenForOthers())));
  }
}
