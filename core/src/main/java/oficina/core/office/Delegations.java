package oficina.core.office;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.rules.CallRules;

/** Who answers and places calls for whom, looked up from either side. */
public final class Delegations {
  private final Map<PersonId, Set<PersonId>> delegates = new HashMap<>();
  private final Map<PersonId, Set<PersonId>> principals = new HashMap<>();

  Delegations(Map<Party, CallRules> rules) {
    rules.forEach(
        (owner, decided) -> {
          if (owner.employee() != null) {
            decided.delegates().forEach(each -> add(owner.employee(), each));
          }
        });
  }

  private void add(PersonId principal, PersonId delegate) {
    if (principal.equals(delegate)) {
      return;
    }
    delegates.computeIfAbsent(principal, id -> new LinkedHashSet<>()).add(delegate);
    principals.computeIfAbsent(delegate, id -> new LinkedHashSet<>()).add(principal);
  }

  /** Those who act for this person. */
  public Set<PersonId> delegatesOf(PersonId principal) {
    return delegates.getOrDefault(principal, Set.of());
  }

  /** Those for whom this person acts. */
  public Set<PersonId> principalsOf(PersonId delegate) {
    return principals.getOrDefault(delegate, Set.of());
  }

  /** Whether this person acts for the other. */
  public boolean actsFor(PersonId delegate, PersonId principal) {
    return delegatesOf(principal).contains(delegate);
  }

  /** Everybody on the other side of this person's delegations, whichever side that is. */
  public List<PersonId> counterparts(PersonId person) {
    Set<PersonId> all = new LinkedHashSet<>(principalsOf(person));
    all.addAll(delegatesOf(person));
    return List.copyOf(all);
  }
}
