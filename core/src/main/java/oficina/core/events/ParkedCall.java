package oficina.core.events;

import java.time.Instant;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * A call that waits in a park slot. The slot stays its own until somebody has answered.
 *
 * @param by the employee who parked it
 * @param forWhom whom it waits for; null for anybody
 * @param note what the parker wants to be known; empty when nothing
 * @param since when it was parked
 * @param until when it comes back to the parker
 */
public record ParkedCall(
    String slot,
    PersonId by,
    @Nullable PersonId forWhom,
    String note,
    Instant since,
    Instant until) {

  /** The same call waiting on in its slot. */
  public ParkedCall until(Instant next) {
    return new ParkedCall(slot, by, forWhom, note, since, next);
  }
}
