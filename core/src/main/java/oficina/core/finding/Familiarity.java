package oficina.core.finding;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import oficina.core.call.Party;

/**
 * How much somebody speaks with whom, learnt from their own history. Each conversation counts, and
 * half as much for each fortnight that has passed since.
 */
public final class Familiarity {
  /** So far back it makes no difference any more. */
  public static final Duration REMEMBERED = Duration.ofDays(120);

  private static final Duration HALF_LIFE = Duration.ofDays(14);

  private final Instant now;
  private final Map<Party, Double> weights = new HashMap<>();

  /**
   * @param now the moment at which somebody is looked for
   */
  public Familiarity(Instant now) {
    this.now = now;
  }

  /**
   * Learns of a conversation.
   *
   * @param with an employee or an outside number
   * @param began when; one in the future counts as if it were now
   */
  public void spoke(Party with, Instant began) {
    Duration age = Duration.between(began, now);
    double halves = Math.max(0.0, (double) age.toMillis() / HALF_LIFE.toMillis());
    weights.merge(with, Math.pow(0.5, halves), Double::sum);
  }

  /** How familiar somebody is, 1 being a conversation of this moment; 0 for a stranger. */
  public double with(Party party) {
    return weights.getOrDefault(party, 0.0);
  }

  /** Whoever is no stranger. */
  Set<Party> parties() {
    return weights.keySet();
  }
}
