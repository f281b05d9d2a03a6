package oficina.core.rules;

import java.time.Instant;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/**
 * A moment at the office, at which many rules are looked at: what its clocks show is worked out
 * once. Not safe for use by several threads.
 */
public final class Moment {
  private final Instant at;
  private final Opening opening;
  private @Nullable LocalDateTime clock;

  public Moment(Instant at, Opening opening) {
    this.at = at;
    this.opening = opening;
  }

  /** Whether it is in these times of the office's clocks and calendar. */
  public boolean in(Timetable times) {
    if (clock == null) {
      clock = LocalDateTime.ofInstant(at, opening.zone());
    }
    return times.covers(clock, opening.holidays().keySet());
  }

  /** Whether what ends then is over; null for what does not end by itself. */
  public boolean after(@Nullable Instant end) {
    return end != null && !end.isAfter(at);
  }
}
