package oficina.server.signin;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Set;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.people.Person;
import oficina.server.OficinaProperties;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passkeys.Answered;
import oficina.server.passkeys.Passkeys;
import oficina.server.passwords.BrowserCookie;
import oficina.server.passwords.BrowserStore;
import oficina.server.passwords.Employee;
import oficina.server.passwords.EmployeeStore;
import oficina.server.passwords.Passwords;
import oficina.server.problems.Problem;
import oficina.server.secondfactor.SecondFactors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and who is signed in. */
@RestController
@RequestMapping("/api/session")
class SessionController {
  private final Entering entering;
  private final Passwords passwords;
  private final EmployeeStore employees;
  private final OfficeData office;
  private final OficinaProperties properties;
  private final OfficeLog log;
  private final SecondFactors factors;
  private final Passkeys passkeys;

  SessionController(
      Entering entering,
      Passwords passwords,
      EmployeeStore employees,
      OfficeData office,
      OficinaProperties properties,
      OfficeLog log,
      SecondFactors factors,
      Passkeys passkeys) {
    this.entering = entering;
    this.passwords = passwords;
    this.employees = employees;
    this.office = office;
    this.properties = properties;
    this.log = log;
    this.factors = factors;
    this.passkeys = passkeys;
  }

  /**
   * Who signs in.
   *
   * @param name sign-in name or extension
   * @param code besides the password, for whoever has a second factor; absent as long as it is not
   *     asked for
   */
  record NameAndPassword(
      @NotBlank @Size(max = 60) String name,
      @NotBlank @Size(max = 200) String password,
      @Schema(nullable = true) @Nullable @Size(max = 40) String code) {}

  record Tips(boolean seen) {}

  /**
   * The person who is signed in.
   *
   * @param zone of the office's clocks, as in the IANA database
   * @param mustChangePassword whether nothing else can be done before a password is chosen
   * @param mustAddFactor whether nothing else can be done before a second factor is set up
   * @param tried wrong passwords tried since the last sign-in in other browsers; only told once, on
   *     signing in
   */
  record Me(
      long id,
      String name,
      String extension,
      @Schema(nullable = true) @Nullable String directNumber,
      String team,
      String role,
      String office,
      String zone,
      boolean mustChangePassword,
      boolean mustAddFactor,
      boolean tipsSeen,
      boolean standIns,
      @Schema(nullable = true) BrowserStore.@Nullable Failed tried) {}

  /**
   * Who is signed in; nothing when nobody is. Sets the cookie that protects against forged
   * requests.
   */
  @GetMapping
  ResponseEntity<Me> me(@AuthenticationPrincipal @Nullable Employee me) {
    return me == null ? ResponseEntity.noContent().build() : ResponseEntity.ok(view(me, null));
  }

  private Me view(Employee me, BrowserStore.@Nullable Failed tried) {
    Person person = office.person(me.id());
    return new Me(
        me.id().value(),
        person.name(),
        person.extension(),
        person.directNumber() == null ? null : office.region().show(person.directNumber()),
        person.team(),
        me.roleName(),
        office.now().identity().name(),
        office.now().identity().zone().getId(),
        me.mustChangePassword(),
        factors.isOwedBy(me),
        employees.tipsSeen(me.id()),
        properties.standIns(),
        tried);
  }

  /** Sign in by name or extension. */
  @PostMapping
  Me signIn(
      @Valid @RequestBody NameAndPassword who,
      HttpServletRequest request,
      HttpServletResponse response) {
    Passwords.From from = BrowserCookie.fromKnown(request, response);
    Employee me = checked(who, from);
    return view(me, entering.enter(me, from, request, response));
  }

  /**
   * What a device has shown.
   *
   * @param challenge it was asked with
   */
  record ByPasskey(
      @NotBlank @Size(max = 100) String challenge, @NotNull @Valid Answered.Shown answer) {}

  /**
   * Sign in with a passkey alone: a device has one only for whoever has shown it who they are, so
   * it counts for both factors.
   */
  @PostMapping("/passkey")
  Me signIn(
      @Valid @RequestBody ByPasskey shown,
      HttpServletRequest request,
      HttpServletResponse response) {
    Passwords.From from = BrowserCookie.fromKnown(request, response);
    Employee me = checked(shown, request);
    return view(me, entering.enter(me, from, request, response));
  }

  private Employee checked(ByPasskey shown, HttpServletRequest request) {
    try {
      return passkeys.whose(shown.challenge(), shown.answer(), request);
    } catch (Problem refused) {
      if (refused.code().equals(Passkeys.WRONG)) {
        // Of keys that are nobody's nothing is written down: anybody can come with any number.
        passkeys
            .keptBy(shown.answer())
            .ifPresent(whose -> log.write(Deed.of(Kind.SIGN_IN_FAILED, whose.signInName())));
      }
      throw refused;
    }
  }

  private Employee checked(NameAndPassword who, Passwords.From from) {
    String name = who.name().strip();
    try {
      Employee me = passwords.check(name, who.password(), from);
      factors.check(me, who.code(), from);
      return me;
    } catch (Problem refused) {
      if (Set.of(Passwords.WRONG, Passwords.WRONG_CODE).contains(refused.code())) {
        // What was typed may be a password in the wrong field: only names of the office are kept.
        log.write(Deed.of(Kind.SIGN_IN_FAILED, employees.signInName(name).orElse("")));
      }
      throw refused;
    }
  }

  /** Sign out, here. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request, HttpServletResponse response) {
    entering.leave(request, response);
  }

  /** Remembers whether the first-run tips were put away. */
  @PutMapping("/tips")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tips(@AuthenticationPrincipal Employee me, @RequestBody Tips tips) {
    employees.tipsSeen(me.id(), tips.seen());
  }
}
