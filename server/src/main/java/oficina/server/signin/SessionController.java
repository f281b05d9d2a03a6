package oficina.server.signin;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import oficina.core.people.Person;
import oficina.server.OficinaProperties;
import oficina.server.door.Limits;
import oficina.server.office.OfficeData;
import oficina.server.passwords.BrowserStore;
import oficina.server.passwords.Employee;
import oficina.server.passwords.EmployeeStore;
import oficina.server.passwords.KnownBrowsers;
import oficina.server.passwords.Passwords;
import oficina.server.passwords.Tokens;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and what a person changes about their own sign-ins. */
@RestController
@RequestMapping("/api/session")
class SessionController {
  private static final String BROWSER_COOKIE = "oficina-browser";
  private static final Duration BROWSER_KNOWN_FOR = Duration.ofDays(365);

  private final SignIns signIns;
  private final Passwords passwords;
  private final KnownBrowsers browsers;
  private final EmployeeStore employees;
  private final CsrfTokenRepository csrfTokens;
  private final OfficeData office;
  private final OficinaProperties properties;
  private final Limits limits;

  SessionController(
      SignIns signIns,
      Passwords passwords,
      KnownBrowsers browsers,
      EmployeeStore employees,
      CsrfTokenRepository csrfTokens,
      OfficeData office,
      OficinaProperties properties,
      Limits limits) {
    this.signIns = signIns;
    this.passwords = passwords;
    this.browsers = browsers;
    this.employees = employees;
    this.csrfTokens = csrfTokens;
    this.office = office;
    this.properties = properties;
    this.limits = limits;
  }

  /**
   * Who signs in.
   *
   * @param name sign-in name or extension
   */
  record NameAndPassword(
      @NotBlank @Size(max = 60) String name, @NotBlank @Size(max = 200) String password) {}

  /** A new password, and the present one as proof. */
  record NewPassword(
      @NotBlank @Size(max = 200) String present, @NotBlank @Size(max = 200) String next) {}

  record Tips(boolean seen) {}

  /**
   * The person who is signed in.
   *
   * @param zone of the office's clocks, as in the IANA database
   * @param mustChangePassword whether nothing else can be done before a password is chosen
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
      boolean tipsSeen,
      boolean standIns,
      @Schema(nullable = true) BrowserStore.@Nullable Failed tried) {}

  /**
   * One of one's sign-ins.
   *
   * @param here whether it is the one that asks
   * @param place network address it was made from
   * @param agent how the browser calls itself
   */
  record SignInView(
      String id, boolean here, String place, String agent, Instant began, Instant lastUsed) {}

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
    String browser =
        Objects.requireNonNullElseGet(Tokens.read(request, BROWSER_COOKIE), Tokens::fresh);
    Tokens.write(request, response, BROWSER_COOKIE, browser, BROWSER_KNOWN_FOR);
    Passwords.From from = new Passwords.From(request.getRemoteAddr(), browser);
    Employee me = passwords.check(who.name().strip(), who.password(), from);
    endHere(request);
    begin(me, request, response);
    return view(me, browsers.signedIn(me.id(), from.browserHash()));
  }

  private void begin(Employee me, HttpServletRequest request, HttpServletResponse response) {
    String agent = Objects.requireNonNullElse(request.getHeader(HttpHeaders.USER_AGENT), "");
    show(signIns.begin(me, request.getRemoteAddr(), agent), request, response);
  }

  private void show(String token, HttpServletRequest request, HttpServletResponse response) {
    Tokens.write(request, response, SignInFilter.COOKIE, token, limits.signInLongest());
    renewCsrfToken(request, response);
  }

  private void renewCsrfToken(HttpServletRequest request, HttpServletResponse response) {
    csrfTokens.saveToken(csrfTokens.generateToken(request), request, response);
  }

  private void endHere(HttpServletRequest request) {
    String token = Tokens.read(request, SignInFilter.COOKIE);
    if (token != null) {
      String hash = Tokens.hash(token);
      signIns.end(each -> each.tokenHash().equals(hash));
    }
  }

  /** Sign out, here. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request, HttpServletResponse response) {
    endHere(request);
    Tokens.write(request, response, SignInFilter.COOKIE, "", Duration.ZERO);
    renewCsrfToken(request, response);
  }

  /** Choose another password. All one's other sign-ins end. */
  @PutMapping("/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void password(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody NewPassword change,
      Authentication signedIn,
      HttpServletRequest request,
      HttpServletResponse response) {
    Passwords.From from =
        new Passwords.From(request.getRemoteAddr(), Tokens.read(request, BROWSER_COOKIE));
    passwords.checkPresent(me, change.present(), from);
    Person person = office.person(me.id());
    employees.password(
        me.id(),
        passwords.hash(
            change.next(),
            change.present(),
            List.of(me.signInName(), person.name(), person.extension()),
            from.origin()));
    endOthers(me, signedIn);
    Employee renewed = new Employee(me.id(), me.signInName(), me.role(), false);
    show(signIns.renew(here(signedIn), renewed), request, response);
  }

  /** All one's sign-ins, the one used last first. */
  @GetMapping("/sign-ins")
  List<SignInView> signIns(@AuthenticationPrincipal Employee me, Authentication signedIn) {
    SignIn here = here(signedIn);
    return signIns.of(me.id()).stream()
        .map(
            each ->
                new SignInView(
                    each.id(),
                    each.id().equals(here.id()),
                    each.place(),
                    each.agent(),
                    each.began(),
                    each.lastUsed()))
        .toList();
  }

  /** End one of one's own sign-ins. */
  @DeleteMapping("/sign-ins/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(@AuthenticationPrincipal Employee me, @PathVariable String id) {
    if (signIns.of(me.id()).stream().noneMatch(each -> each.id().equals(id))) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_SIGN_IN");
    }
    signIns.end(each -> each.id().equals(id));
  }

  /** End all one's sign-ins but this one. */
  @DeleteMapping("/sign-ins")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endOthers(@AuthenticationPrincipal Employee me, Authentication signedIn) {
    SignIn here = here(signedIn);
    signIns.end(each -> each.employee().id().equals(me.id()) && !each.id().equals(here.id()));
  }

  private static SignIn here(Authentication signedIn) {
    return (SignIn) signedIn.getDetails();
  }

  /** Remembers whether the first-run tips were put away. */
  @PutMapping("/tips")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tips(@AuthenticationPrincipal Employee me, @RequestBody Tips tips) {
    employees.tipsSeen(me.id(), tips.seen());
  }
}
