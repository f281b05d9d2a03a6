package oficina.server.passwords;

import java.util.Locale;
import oficina.core.decision.Permissions;
import oficina.core.people.PersonId;
import oficina.core.people.Role;
import oficina.server.ledger.Doer;

/**
 * The employee who is signed in.
 *
 * @param mustChangePassword whether they can do nothing else before they have chosen a password
 */
public record Employee(PersonId id, String signInName, Role role, boolean mustChangePassword)
    implements Doer {

  /** The role as the database and the API write it. */
  public String roleName() {
    return role.name().toLowerCase(Locale.ROOT);
  }

  public static Role role(String name) {
    return Role.valueOf(name.toUpperCase(Locale.ROOT));
  }

  public boolean isAdministrator() {
    return Permissions.mayAdminister(role);
  }
}
