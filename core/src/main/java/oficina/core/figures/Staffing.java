package oficina.core.figures;

import java.time.Duration;
import oficina.core.queueing.Erlang;
import oficina.core.queueing.Impatience;
import oficina.core.queueing.Queue;
import org.jspecify.annotations.Nullable;

/**
 * How many people a line needs at a time of day, by what was there at such times.
 *
 * @param calls how many calls come in an hour, on average
 * @param handling how long each takes, with finishing
 * @param patience after how long callers give up, on average; null when nobody has been seen to
 */
public record Staffing(double calls, Duration handling, @Nullable Duration patience) {
  private static final int MOST = 10_000;

  /** One call in so many may find all outside lines taken. */
  private static final double LOST = 0.01;

  /**
   * What would be with so many people.
   *
   * @param within the share of calls answered within the target when nobody gives up
   * @param withinImpatient the same with the patience that was seen; null when none was
   * @param meanWait in seconds, when nobody gives up; infinite when they could not keep up
   * @param givesUp the share of callers who would give up; null when no patience was seen
   */
  public record With(
      int people,
      double within,
      @Nullable Double withinImpatient,
      double meanWait,
      @Nullable Double givesUp) {}

  /** Offered, in erlangs. */
  public double traffic() {
    return calls * handling.toNanos() / 1e9 / 3600;
  }

  /** How many are needed for the target when nobody gives up (Erlang C). */
  public int needed(Queue.Target target) {
    double share = target.percent() / 100.0;
    for (int people = (int) traffic(); people < MOST; people++) {
      if (Erlang.answeredWithin(target.within(), people, traffic(), handling) >= share) {
        return people;
      }
    }
    return MOST;
  }

  /** How many are needed with the patience that was seen (Erlang A); null when none was. */
  public @Nullable Integer neededImpatient(Queue.Target target) {
    if (patience == null || traffic() == 0) {
      return null;
    }
    double share = target.percent() / 100.0;
    for (int people = 1; people < MOST; people++) {
      if (impatience(people).answeredWithin(target.within()) >= share) {
        return people;
      }
    }
    return MOST;
  }

  /** What would be with so many people. */
  public With with(int people, Queue.Target target) {
    boolean known = patience != null && traffic() > 0 && people > 0;
    Impatience impatience = known ? impatience(people) : null;
    return new With(
        people,
        Erlang.answeredWithin(target.within(), people, traffic(), handling),
        impatience == null ? null : impatience.answeredWithin(target.within()),
        Erlang.meanWait(people, traffic(), handling),
        impatience == null ? null : impatience.givesUp());
  }

  private Impatience impatience(int people) {
    return new Impatience(people, traffic(), handling, patience);
  }

  /** How many outside lines are needed so that one call in a hundred is lost (Erlang B). */
  public static int lines(double traffic) {
    return Erlang.linesFor(traffic, LOST);
  }

  /** When somebody comes to be served who stands at this place, from 1. */
  public static Duration expectedWait(int place, int people, Duration handling) {
    return people == 0 ? Duration.ZERO : handling.multipliedBy(place).dividedBy(people);
  }
}
