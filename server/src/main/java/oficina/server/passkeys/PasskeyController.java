package oficina.server.passkeys;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.BrowserCookie;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Passwords;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** One's own passkeys. */
@RestController
@RequestMapping("/api/session/passkeys")
class PasskeyController {
  private final Passkeys passkeys;
  private final Passwords passwords;
  private final OfficeData office;
  private final OfficeLog log;

  PasskeyController(Passkeys passkeys, Passwords passwords, OfficeData office, OfficeLog log) {
    this.passkeys = passkeys;
    this.passwords = passwords;
    this.office = office;
    this.log = log;
  }

  /**
   * A passkey.
   *
   * @param name given by its person
   * @param used when it was last used; absent when it never was
   */
  record PasskeyView(
      long id, String name, Instant added, @Schema(nullable = true) @Nullable Instant used) {}

  /** One's own passkeys. */
  @GetMapping
  List<PasskeyView> all(@AuthenticationPrincipal Employee me) {
    return passkeys.of(me.id()).stream()
        .map(each -> new PasskeyView(each.id(), each.name(), each.added(), each.used()))
        .toList();
  }

  /** The present password, as proof. */
  record PasskeyProof(@NotBlank @Size(max = 200) String present) {}

  /** Begin with one: what one's device is asked to make. */
  @PostMapping("/begin")
  Asked.ToMake begin(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody PasskeyProof proof,
      HttpServletRequest request) {
    Place place = Place.of(request);
    passwords.checkPresent(me, proof.present(), BrowserCookie.from(request));
    String name = office.now().identity().name();
    return passkeys.begin(
        me, office.now().nameOf(me.id()), place, name.isEmpty() ? "Oficina" : name);
  }

  /**
   * What one's device has made.
   *
   * @param name to know it again by
   */
  record NewPasskey(@NotBlank @Size(max = 60) String name, @NotNull @Valid Answered.Made answer) {}

  /** It counts from now on. */
  @PostMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void add(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody NewPasskey made,
      HttpServletRequest request) {
    String name = made.name().strip();
    passkeys.add(me, name, made.answer(), Place.of(request));
    log.write(new Deed(Kind.ADDED, me.signInName(), "passkey", "", name));
  }

  /** Somebody wants to sign in: what their device is asked to show, whoever they are. */
  @PostMapping("/asked")
  Asked.ToShow ask(HttpServletRequest request) {
    return passkeys.ask(Place.of(request));
  }

  /** It signs nobody in any more. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    String name =
        passkeys.of(me.id()).stream()
            .filter(each -> each.id() == id)
            .map(PasskeyStore.Entry::name)
            .findFirst()
            .orElse("");
    passkeys.remove(me.id(), id);
    log.write(new Deed(Kind.REMOVED, me.signInName(), "passkey", name, ""));
  }
}
