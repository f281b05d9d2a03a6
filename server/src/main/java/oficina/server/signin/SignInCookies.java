package oficina.server.signin;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import oficina.server.passwords.AccessPolicy;
import oficina.server.passwords.Tokens;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.stereotype.Component;

/** What a browser keeps of a sign-in, and how it is given that. */
@Component
class SignInCookies {
  private final CsrfTokenRepository csrfTokens;
  private final AccessPolicy policy;

  SignInCookies(CsrfTokenRepository csrfTokens, AccessPolicy policy) {
    this.csrfTokens = csrfTokens;
    this.policy = policy;
  }

  /** The browser has this sign-in from now on. */
  void give(String token, HttpServletRequest request, HttpServletResponse response) {
    Tokens.write(request, response, SignInFilter.COOKIE, token, policy.now().longest());
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
