package oficina.server.signin;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import oficina.server.passwords.Tokens;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;

/** The token against forged requests, in a cookie that pages read; by TLS of this host alone. */
class CsrfCookies implements CsrfTokenRepository {
  private static final String NAME = "XSRF-TOKEN";

  @Override
  public CsrfToken generateToken(HttpServletRequest request) {
    return of(request).generateToken(request);
  }

  @Override
  public void saveToken(
      @Nullable CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
    of(request).saveToken(token, request, response);
  }

  @Override
  public @Nullable CsrfToken loadToken(HttpServletRequest request) {
    return of(request).loadToken(request);
  }

  private static CsrfTokenRepository of(HttpServletRequest request) {
    CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
    tokens.setCookieName(Tokens.named(request, NAME));
    tokens.setCookiePath("/");
    tokens.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
    return tokens;
  }
}
