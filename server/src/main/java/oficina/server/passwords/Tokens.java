package oficina.server.passwords;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import java.util.HexFormat;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.web.util.WebUtils;

/**
 * Random secrets, most of them in cookies that no script can read; the server keeps hashes only.
 */
public final class Tokens {
  private static final SecureRandom RANDOM = new SecureRandom();
  private static final int BYTES = 32;

  private Tokens() {}

  public static String fresh() {
    byte[] bytes = new byte[BYTES];
    RANDOM.nextBytes(bytes);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }

  /** SHA-256, which suffices for a random secret of 256 bits. */
  public static String hash(String token) {
    try {
      byte[] digest =
          MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
      return HexFormat.of().formatHex(digest);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has it
    }
  }

  /**
   * By TLS a cookie is bound to this host alone, whatever other hosts of its domain set (RFC
   * 6265bis).
   */
  public static String named(HttpServletRequest request, String name) {
    return request.isSecure() ? "__Host-" + name : name;
  }

  public static @Nullable String read(HttpServletRequest request, String name) {
    Cookie cookie = WebUtils.getCookie(request, named(request, name));
    return cookie == null || cookie.getValue().isEmpty() ? null : cookie.getValue();
  }

  /** Sets a cookie; an empty one that lives no time takes it away. */
  public static void write(
      HttpServletRequest request,
      HttpServletResponse response,
      String name,
      String value,
      Duration lives) {
    response.addHeader(
        HttpHeaders.SET_COOKIE,
        ResponseCookie.from(named(request, name), value)
            .path("/")
            .httpOnly(true)
            .secure(request.isSecure())
            .sameSite("Lax")
            .maxAge(lives)
            .build()
            .toString());
  }
}
