package oficina.server.office;

import java.util.Locale;
import oficina.core.decision.Permissions;
import oficina.core.people.Role;

/** With which name somebody signs in, and as what, as the database has it. */
public record StoredAccount(String signInName, String role) {
  /** Of somebody who is no more. */
  public static final StoredAccount NONE = new StoredAccount("", "employee");

  public boolean isAdministrator() {
    return Permissions.mayAdminister(Role.valueOf(role.toUpperCase(Locale.ROOT)));
  }
}
