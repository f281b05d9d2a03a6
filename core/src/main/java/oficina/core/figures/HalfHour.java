package oficina.core.figures;

import java.util.List;
import java.util.TreeMap;

/**
 * Calls of a line that came in one half hour of the day.
 *
 * @param slot which: 0 begins at midnight
 * @param inTime answered within the target
 * @param later answered, but not within the target
 * @param elsewhere sent on, called back, told why nobody comes, or left a message
 */
public record HalfHour(int slot, long inTime, long later, long givenUp, long elsewhere) {
  private static final int A_DAY = 48;

  /** Those half hours in which calls came; of several days, the same half hour of all of them. */
  public static List<HalfHour> of(List<Count> counts) {
    TreeMap<Integer, HalfHour> all = new TreeMap<>();
    for (Count each : counts) {
      int slot = (int) (each.slot() % A_DAY);
      all.merge(slot, of(slot, each), HalfHour::plus);
    }
    return List.copyOf(all.values());
  }

  private static HalfHour of(int slot, Count count) {
    long calls = count.calls();
    return switch (count.outcome()) {
      case ANSWERED -> new HalfHour(slot, count.inTime(), calls - count.inTime(), 0, 0);
      case GIVEN_UP -> new HalfHour(slot, 0, 0, calls, 0);
      case SENT_ON, MESSAGE, CALLED_BACK, FAILED -> new HalfHour(slot, 0, 0, 0, calls);
    };
  }

  private HalfHour plus(HalfHour other) {
    return new HalfHour(
        slot,
        inTime + other.inTime,
        later + other.later,
        givenUp + other.givenUp,
        elsewhere + other.elsewhere);
  }
}
