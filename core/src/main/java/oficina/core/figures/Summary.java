package oficina.core.figures;

import java.time.Duration;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import oficina.core.figures.Wait.Outcome;

/**
 * What became of everybody who came to wait at a line on some days.
 *
 * @param inTime how many were answered within the target
 * @param waited how long all of them waited together
 * @param longest the longest wait of all
 * @param waitedInVain how long those waited together who gave up
 */
public record Summary(
    Map<Outcome, Long> calls,
    long inTime,
    Duration waited,
    Duration longest,
    Duration waitedInVain) {

  /** Of these. */
  public static Summary of(List<Count> counts) {
    Map<Outcome, Long> calls = new EnumMap<>(Outcome.class);
    long inTime = 0;
    Duration waited = Duration.ZERO;
    Duration longest = Duration.ZERO;
    Duration inVain = Duration.ZERO;
    for (Count each : counts) {
      calls.merge(each.outcome(), each.calls(), Long::sum);
      waited = waited.plus(each.waited());
      longest = each.longest().compareTo(longest) > 0 ? each.longest() : longest;
      inTime += each.outcome() == Outcome.ANSWERED ? each.inTime() : 0;
      inVain = each.outcome() == Outcome.GIVEN_UP ? inVain.plus(each.waited()) : inVain;
    }
    return new Summary(calls, inTime, waited, longest, inVain);
  }

  /** How many ended so. */
  public long ended(Outcome how) {
    return calls.getOrDefault(how, 0L);
  }

  /** How many came. */
  public long offered() {
    return calls.values().stream().mapToLong(Long::longValue).sum();
  }

  /** How long each waited, on average. */
  public Duration meanWait() {
    return mean(waited, offered());
  }

  /** How long those had waited who gave up, on average. */
  public Duration patience() {
    return mean(waitedInVain, ended(Outcome.GIVEN_UP));
  }

  /** So much for each; nothing when there is none. */
  public static Duration mean(Duration all, long of) {
    return of == 0 ? Duration.ZERO : all.dividedBy(of);
  }

  /**
   * How much of the time they were there members were at work (occupancy), in percent.
   *
   * @param there more than nothing
   */
  public static int occupancy(Duration atWork, Duration there) {
    return (int) Math.min(100, Math.round(100.0 * atWork.toMillis() / there.toMillis()));
  }
}
