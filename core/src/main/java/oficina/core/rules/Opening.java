package oficina.core.rules;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * When the office is open.
 *
 * @param hours of the week; null when it is never closed
 * @param holidays with their names
 * @param zone in which its clocks run
 */
public record Opening(@Nullable Timetable hours, Map<LocalDate, String> holidays, ZoneId zone) {
  public Opening {
    holidays = Map.copyOf(holidays);
  }

  /** Never closed, no holidays. */
  public static Opening always(ZoneId zone) {
    return new Opening(null, Map.of(), zone);
  }

  /** When the office opens next; empty when it does not close. */
  public Optional<Instant> nextOpening(Instant after) {
    return hours == null
        ? Optional.empty()
        : hours.next(/* begins= */ true, after, zone, holidays.keySet());
  }
}
