package oficina.server.passkeys;

import jakarta.servlet.http.HttpServletRequest;
import java.util.regex.Pattern;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;

/**
 * Where somebody looks at the office: a key holds at one name alone (WebAuthn, 5.1.2), and devices
 * make and use it for no other. That the name comes from the request gives nothing away: a device
 * asked in another name has no key for it, and what it signs names where it was asked.
 *
 * @param name of the host, without its port
 * @param origin as browsers write it (RFC 6454)
 */
record Place(String name, String origin) {
  private static final Pattern ADDRESS = Pattern.compile("[0-9.]+|\\[.*");

  /**
   * @throws Problem when it is looked at by its address: keys need a name
   */
  static Place of(HttpServletRequest request) {
    String host = request.getServerName();
    if (ADDRESS.matcher(host).matches()) {
      throw new Problem(HttpStatus.CONFLICT, "PASSKEY_NEEDS_NAME");
    }
    int port = request.getServerPort();
    boolean usual = port == (request.isSecure() ? 443 : 80);
    String scheme = request.isSecure() ? "https://" : "http://";
    return new Place(host, scheme + host + (usual ? "" : ":" + port));
  }
}
