package oficina.server.signin;

import java.time.Instant;
import oficina.server.passwords.Employee;
import org.springframework.security.core.Authentication;

/**
 * Somebody's sign-in in one browser, from the password to the end.
 *
 * @param id names it where its owner looks at their sign-ins; worth nothing to anybody else
 * @param tokenHash of the secret that the browser shows
 * @param place network address it was made from
 * @param agent how the browser calls itself
 */
public record SignIn(
    String id,
    String tokenHash,
    Employee employee,
    Instant began,
    Instant lastUsed,
    String place,
    String agent) {

  /** The one with which somebody asks for something. */
  public static SignIn of(Authentication signedIn) {
    return (SignIn) signedIn.getDetails();
  }

  SignIn usedAt(Instant now) {
    return new SignIn(id, tokenHash, employee, began, now, place, agent);
  }
}
