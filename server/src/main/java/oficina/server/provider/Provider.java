package oficina.server.provider;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Set;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;

/**
 * The identity provider of the office.
 *
 * @param issuer its address, below which it says what it can do (OpenID Connect Discovery 1.0)
 * @param clientId how the office is called there
 * @param secret what the office shows there
 * @param called how people know it
 * @param unknown what becomes of whoever it vouches for who is not of the office
 */
record Provider(String issuer, String clientId, String secret, String called, Unknown unknown) {
  private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]");

  /** What becomes of somebody who is not of the office. */
  enum Unknown {
    REFUSED,
    /** They join it. */
    JOINS
  }

  /**
   * @throws Problem when nothing can be asked there, or others on the way could listen
   */
  static void check(String issuer) {
    try {
      URI uri = new URI(issuer);
      boolean safe =
          "https".equals(uri.getScheme())
              || ("http".equals(uri.getScheme()) && THIS_MACHINE.contains(uri.getHost()));
      if (safe && uri.getHost() != null && uri.getQuery() == null && uri.getFragment() == null) {
        return;
      }
    } catch (URISyntaxException e) {
      // It is no address.
    }
    throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "PROVIDER_ADDRESS");
  }

  @Override
  public String toString() {
    return called + " at " + issuer; // never the secret
  }
}
