package oficina.core.rules;

import java.util.Set;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Whoever calls, as rules tell them apart.
 *
 * @param behalf the colleague in whose name somebody inside calls; null for their own
 * @param companies what the contacts with their number belong to, in lower case
 */
public record Caller(Party party, @Nullable PersonId behalf, Set<String> companies) {
  public Caller {
    companies = Set.copyOf(companies);
  }

  /** In their own name. */
  public Caller(Party party, Set<String> companies) {
    this(party, null, companies);
  }

  /** Whether it is somebody of the office. */
  public boolean inside() {
    return party.employee() != null;
  }

  /** Their number; null for somebody inside and for one that is withheld. */
  public @Nullable PhoneNumber number() {
    return party instanceof Party.Outside outside ? outside.number() : null;
  }
}
