package oficina.server.handset;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.events.ExchangeEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/**
 * Whose telephones may look otherwise after an event. Whoever had to do with a call until now is
 * concerned too, so each call is remembered as it was told of last. On the exchange's thread.
 */
final class Concerns {
  /**
   * @param people whose own state may have changed
   * @param slots whether a park slot may have
   */
  record Concerned(Set<PersonId> people, boolean slots) {
    private static final Concerned NOBODY = new Concerned(Set.of(), false);
  }

  private final Map<CallId, Concerned> last = new HashMap<>();

  /**
   * Whom an event concerns.
   *
   * @param after the call as it is after the event; null once it is over
   */
  Concerned by(ExchangeEvent event, @Nullable Call after) {
    Set<PersonId> people = new HashSet<>();
    boolean slots = false;
    CallId call = event.inCall();
    if (call != null) {
      Concerned now =
          after == null
              ? Concerned.NOBODY
              : new Concerned(after.employees(), after.parked() != null);
      Concerned before = after == null ? last.remove(call) : last.put(call, now);
      people.addAll(now.people());
      slots = now.slots();
      if (before != null) {
        people.addAll(before.people());
        slots |= before.slots();
      }
    }
    if (event.deviceOf() != null) {
      people.add(event.deviceOf());
    }
    if (event.statusOf() != null) {
      people.add(event.statusOf());
    }
    return new Concerned(people, slots);
  }
}
