package oficina.server.signin;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import oficina.core.people.PersonId;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The employee who is signed in. */
public record Employee(PersonId id, String signInName, String passwordHash, String role)
    implements UserDetails {
  private static final long serialVersionUID = 1;

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of(new SimpleGrantedAuthority("ROLE_" + role.toUpperCase(Locale.ROOT)));
  }

  @Override
  public String getUsername() {
    return signInName;
  }

  @Override
  public String getPassword() {
    return passwordHash;
  }

  /** Never tells the hash. */
  @Override
  public String toString() {
    return signInName;
  }
}
