package oficina.server.signin;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.util.Map;
import oficina.core.people.Person;
import oficina.server.OficinaProperties;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.rememberme.TokenBasedRememberMeServices;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and what a person changes about their own sign-in. */
@RestController
@RequestMapping("/api/session")
class SessionController {
  private final AuthenticationManager manager;
  private final SecurityContextRepository contexts;
  private final TokenBasedRememberMeServices rememberMe;
  private final SlowDown slowDown;
  private final EmployeeStore employees;
  private final PasswordEncoder passwords;
  private final OfficeData office;
  private final OficinaProperties properties;
  private final ApplicationEventPublisher events;

  SessionController(
      AuthenticationManager manager,
      SecurityContextRepository contexts,
      TokenBasedRememberMeServices rememberMe,
      SlowDown slowDown,
      EmployeeStore employees,
      PasswordEncoder passwords,
      OfficeData office,
      OficinaProperties properties,
      ApplicationEventPublisher events) {
    this.manager = manager;
    this.contexts = contexts;
    this.rememberMe = rememberMe;
    this.slowDown = slowDown;
    this.employees = employees;
    this.passwords = passwords;
    this.office = office;
    this.properties = properties;
    this.events = events;
  }

  /**
   * Who signs in.
   *
   * @param name sign-in name or extension
   */
  record SignIn(
      @NotBlank @Size(max = 60) String name, @NotBlank @Size(max = 200) String password) {}

  /** A new password, and the present one as proof. */
  record NewPassword(
      @NotBlank @Size(max = 200) String present, @NotBlank @Size(max = 200) String next) {}

  record Tips(boolean seen) {}

  /** The person who is signed in. */
  record Me(
      long id,
      String name,
      String extension,
      @Schema(nullable = true) String directNumber,
      String team,
      String role,
      String office,
      boolean tipsSeen,
      boolean standIns) {}

  /**
   * Who is signed in; 401 when nobody is. Sets the cookie that protects against forged requests.
   */
  @GetMapping
  Me me(@AuthenticationPrincipal Employee me) {
    if (me == null) {
      throw new Problem(HttpStatus.UNAUTHORIZED, "SIGNED_OUT");
    }
    Person person = office.person(me.id());
    return new Me(
        me.id().value(),
        person.name(),
        person.extension(),
        person.directNumber() == null ? null : office.region().show(person.directNumber()),
        person.team(),
        me.role(),
        office.name(),
        employees.tipsSeen(me.id()),
        properties.standIns());
  }

  @PostMapping
  Me signIn(
      @Valid @RequestBody SignIn signIn, HttpServletRequest request, HttpServletResponse response) {
    String name = signIn.name().strip();
    refuseTooManyTries(name, response);
    Authentication signedIn;
    try {
      signedIn =
          manager.authenticate(
              UsernamePasswordAuthenticationToken.unauthenticated(name, signIn.password()));
    } catch (AuthenticationException e) {
      slowDown.failed(name);
      throw new Problem(HttpStatus.UNAUTHORIZED, "WRONG_PASSWORD");
    }
    slowDown.succeeded(name);
    HttpSession old = request.getSession(false);
    if (old != null) {
      old.invalidate();
    }
    remember(signedIn, request, response);
    return me((Employee) signedIn.getPrincipal());
  }

  private void refuseTooManyTries(String name, HttpServletResponse response) {
    Duration wait = slowDown.wait(name);
    if (!wait.isZero()) {
      String seconds = Long.toString(wait.toSeconds() + 1);
      response.setHeader("Retry-After", seconds);
      throw new Problem(HttpStatus.TOO_MANY_REQUESTS, "SLOW_DOWN", Map.of("seconds", seconds));
    }
  }

  private void remember(
      Authentication signedIn, HttpServletRequest request, HttpServletResponse response) {
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(signedIn);
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
    rememberMe.onLoginSuccess(request, response, signedIn);
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request, HttpServletResponse response) {
    rememberMe.logout(request, response, null);
    HttpSession session = request.getSession(false);
    if (session != null) {
      events.publishEvent(new SignedOut(session.getId()));
      session.invalidate();
    }
    SecurityContextHolder.clearContext();
  }

  @PutMapping("/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void password(
      @AuthenticationPrincipal Employee me,
      @Valid @RequestBody NewPassword change,
      HttpServletRequest request,
      HttpServletResponse response) {
    refuseTooManyTries(me.signInName(), response);
    Employee stored = (Employee) employees.loadUserByUsername(me.signInName());
    if (!passwords.matches(change.present(), stored.getPassword())) {
      slowDown.failed(me.signInName());
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "WRONG_PRESENT_PASSWORD");
    }
    if (change.next().length() < 10) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "PASSWORD_TOO_SHORT");
    }
    employees.password(me.id(), passwords.encode(change.next()));
    Employee renewed = (Employee) employees.loadUserByUsername(me.signInName());
    // The signed cookie is bound to the password, so every other browser is signed out with its
    // session.
    remember(
        UsernamePasswordAuthenticationToken.authenticated(renewed, null, renewed.getAuthorities()),
        request,
        response);
  }

  /** Remembers whether the first-run tips were put away. */
  @PutMapping("/tips")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void tips(@AuthenticationPrincipal Employee me, @RequestBody Tips tips) {
    employees.tipsSeen(me.id(), tips.seen());
  }
}
