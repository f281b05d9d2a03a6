package oficina.server.passwords;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Objects;

/** By what a browser is known again in which somebody has signed in before. */
public final class BrowserCookie {
  private static final String NAME = "oficina-browser";
  private static final Duration KNOWN_FOR = Duration.ofDays(365);

  private BrowserCookie() {}

  /** From where somebody tries a password. */
  public static Passwords.From from(HttpServletRequest request) {
    return new Passwords.From(request.getRemoteAddr(), Tokens.read(request, NAME));
  }

  /** The same for whoever signs in; a browser not seen before is given something to be known by. */
  public static Passwords.From fromKnown(HttpServletRequest request, HttpServletResponse response) {
    String browser = Objects.requireNonNullElseGet(Tokens.read(request, NAME), Tokens::fresh);
    Tokens.write(request, response, NAME, browser, KNOWN_FOR);
    return new Passwords.From(request.getRemoteAddr(), browser);
  }
}
