package oficina.core.queueing;

import java.time.Duration;

/**
 * Waiting lines with calls that arrive independently of each other and last exponentially
 * distributed times: how often nobody is free, and how long one waits (A. K. Erlang 1917; ITU-T
 * E.501; with patience: C. Palm 1957, S. Zeltyn and A. Mandelbaum 2005).
 *
 * <p>Offered traffic is in erlangs: calls a second times the mean time each takes, in seconds.
 * Computed by recursions that neither overflow nor lose digits, for tens of thousands of servers.
 */
public final class Erlang {
  private Erlang() {}

  /**
   * The share of calls that find all lines taken and are lost (Erlang B).
   *
   * @param lines none or more
   * @throws IllegalArgumentException when there are fewer than none, or traffic is negative
   */
  public static double lost(int lines, double traffic) {
    return 1 / inverseLost(lines, traffic);
  }

  /** One over the share lost, which grows without losing digits where that share vanishes. */
  static double inverseLost(int lines, double traffic) {
    if (lines < 0 || !(traffic >= 0)) {
      throw new IllegalArgumentException(lines + " lines, " + traffic + " erlangs");
    }
    if (traffic == 0) {
      return lines == 0 ? 1 : Double.POSITIVE_INFINITY;
    }
    double inverse = 1;
    for (int line = 1; line <= lines; line++) {
      inverse = 1 + inverse * line / traffic;
    }
    return inverse;
  }

  /** How many lines are needed so that at most this share of calls is lost. */
  public static int linesFor(double traffic, double share) {
    if (!(share > 0 && share <= 1)) {
      throw new IllegalArgumentException("share lost " + share);
    }
    int lines = 0;
    for (double inverse = 1; traffic > 0 && inverse < 1 / share; ) {
      lines++;
      inverse = 1 + inverse * lines / traffic;
    }
    return lines;
  }

  /**
   * The share of calls that have to wait when nobody ever gives up (Erlang C); 1 when more is
   * offered than the servers can do.
   */
  public static double waits(int servers, double traffic) {
    if (traffic >= servers) {
      return traffic == 0 ? 0 : 1;
    }
    double lost = lost(servers, traffic);
    return lost / (1 - traffic / servers * (1 - lost));
  }

  /**
   * The mean wait of all calls when nobody ever gives up.
   *
   * @param handling mean time a call takes
   * @return in seconds; infinite when more is offered than the servers can do
   */
  public static double meanWait(int servers, double traffic, Duration handling) {
    return traffic >= servers && traffic > 0
        ? Double.POSITIVE_INFINITY
        : waits(servers, traffic) * seconds(handling) / (servers - traffic);
  }

  /** The share of calls answered within a time when nobody ever gives up. */
  public static double answeredWithin(
      Duration time, int servers, double traffic, Duration handling) {
    if (traffic >= servers) {
      return traffic == 0 ? 1 : 0;
    }
    double leaving = (servers - traffic) / seconds(handling);
    return 1 - waits(servers, traffic) * Math.exp(-leaving * seconds(time));
  }

  static double seconds(Duration time) {
    return time.toNanos() / 1e9;
  }
}
