package oficina.server.handset;

import java.util.Set;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.server.exchange.Told;
import org.jspecify.annotations.Nullable;

/**
 * Whose telephones may look otherwise after an event.
 *
 * @param people whose own state may have changed
 * @param slots whether a park slot may have
 */
record Concerned(Set<PersonId> people, boolean slots) {

  static Concerned by(Told told) {
    return new Concerned(
        told.people(),
        told.calls().stream().anyMatch(call -> parked(call.before()) || parked(call.after())));
  }

  private static boolean parked(@Nullable Call call) {
    return call != null && call.parked() != null;
  }
}
