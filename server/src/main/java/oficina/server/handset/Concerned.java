package oficina.server.handset;

import java.util.HashSet;
import java.util.Set;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.server.exchange.Told;
import org.jspecify.annotations.Nullable;

/**
 * Whose telephones may look otherwise after an event: also of whoever had to do with a call only
 * until then.
 *
 * @param people whose own state may have changed
 * @param slots whether a park slot may have
 */
record Concerned(Set<PersonId> people, boolean slots) {

  static Concerned by(Told told) {
    Set<PersonId> people = new HashSet<>();
    boolean slots = false;
    for (Told.Touched call : told.calls()) {
      slots |= add(call.before(), people) | add(call.after(), people);
    }
    if (told.event().deviceOf() != null) {
      people.add(told.event().deviceOf());
    }
    if (told.event().statusOf() != null) {
      people.add(told.event().statusOf());
    }
    return new Concerned(people, slots);
  }

  /** Adds who is in a call, and says whether it waits in a slot. */
  private static boolean add(@Nullable Call call, Set<PersonId> people) {
    if (call == null) {
      return false;
    }
    people.addAll(call.employees());
    return call.parked() != null;
  }
}
