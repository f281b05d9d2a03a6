package oficina.server.signin;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Objects;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.server.ledger.OfficeLog;
import oficina.server.passwords.BrowserStore;
import oficina.server.passwords.Employee;
import oficina.server.passwords.KnownBrowsers;
import oficina.server.passwords.Passwords;
import oficina.server.passwords.Tokens;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;

/** What follows when somebody has shown who they are, by whatever means. */
@Component
public class Entering {
  private final SignIns signIns;
  private final SignInCookies cookies;
  private final KnownBrowsers browsers;
  private final OfficeLog log;

  Entering(SignIns signIns, SignInCookies cookies, KnownBrowsers browsers, OfficeLog log) {
    this.signIns = signIns;
    this.cookies = cookies;
    this.browsers = browsers;
    this.log = log;
  }

  /**
   * They are signed in, in this browser, and nobody else is there any more.
   *
   * @return wrong passwords tried since their last sign-in in other browsers; null when none
   */
  public BrowserStore.@Nullable Failed enter(
      Employee me, Passwords.From from, HttpServletRequest request, HttpServletResponse response) {
    log.write(me, List.of(Deed.of(Kind.SIGNED_IN, me.signInName())));
    endHere(request);
    String agent = Objects.requireNonNullElse(request.getHeader(HttpHeaders.USER_AGENT), "");
    cookies.give(signIns.begin(me, request.getRemoteAddr(), agent), request, response);
    return browsers.signedIn(me.id(), from.browserHash());
  }

  /** Whoever is signed in in this browser is not any more. */
  void leave(HttpServletRequest request, HttpServletResponse response) {
    endHere(request);
    cookies.take(request, response);
  }

  private void endHere(HttpServletRequest request) {
    String token = Tokens.read(request, SignInFilter.COOKIE);
    if (token != null) {
      String hash = Tokens.hash(token);
      signIns.end(each -> each.tokenHash().equals(hash));
    }
  }
}
