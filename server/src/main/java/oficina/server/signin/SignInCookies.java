package oficina.server.signin;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Objects;
import oficina.server.door.Limits;
import oficina.server.passwords.Passwords;
import oficina.server.passwords.Tokens;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.stereotype.Component;

/** What a browser keeps of a sign-in, and how it is given that. */
@Component
class SignInCookies {
  private static final String BROWSER = "oficina-browser";
  private static final Duration BROWSER_KNOWN_FOR = Duration.ofDays(365);

  private final CsrfTokenRepository csrfTokens;
  private final Limits limits;

  SignInCookies(CsrfTokenRepository csrfTokens, Limits limits) {
    this.csrfTokens = csrfTokens;
    this.limits = limits;
  }

  /** From where somebody tries a password; the browser is known by what it has been given. */
  Passwords.From from(HttpServletRequest request) {
    return new Passwords.From(request.getRemoteAddr(), Tokens.read(request, BROWSER));
  }

  /** The same for whoever signs in; a browser not seen before is given something to be known by. */
  Passwords.From fromKnown(HttpServletRequest request, HttpServletResponse response) {
    String browser = Objects.requireNonNullElseGet(Tokens.read(request, BROWSER), Tokens::fresh);
    Tokens.write(request, response, BROWSER, browser, BROWSER_KNOWN_FOR);
    return new Passwords.From(request.getRemoteAddr(), browser);
  }

  /** The browser has this sign-in from now on. */
  void give(String token, HttpServletRequest request, HttpServletResponse response) {
    Tokens.write(request, response, SignInFilter.COOKIE, token, limits.signInLongest());
    renewCsrfToken(request, response);
  }

  /** The browser has none any more. */
  void take(HttpServletRequest request, HttpServletResponse response) {
    Tokens.write(request, response, SignInFilter.COOKIE, "", Duration.ZERO);
    renewCsrfToken(request, response);
  }

  private void renewCsrfToken(HttpServletRequest request, HttpServletResponse response) {
    csrfTokens.saveToken(csrfTokens.generateToken(request), request, response);
  }
}
