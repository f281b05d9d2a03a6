package oficina.core.rules;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * In a situation, calls of these callers go there.
 *
 * @param id by which the history names it
 * @param times when it holds; null for always
 * @param until when it ends by itself; null for when it is taken away
 */
public record Rule(
    long id,
    Situation when,
    Callers callers,
    @Nullable Timetable times,
    @Nullable Instant until,
    Destination to) {

  /** Whether it holds at this moment, whoever calls. */
  public boolean holds(Moment now) {
    return !now.after(until) && (times == null || now.in(times));
  }

  /** Whether no call for which the other rule would be looked at gets past this one. */
  public boolean coversAllOf(Rule other) {
    boolean sameTimes = times == null || times.equals(other.times);
    boolean asLong = until == null || (other.until != null && !until.isBefore(other.until));
    return when == other.when && sameTimes && asLong && callers.includeAllOf(other.callers);
  }
}
