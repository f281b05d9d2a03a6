package oficina.server.exchange;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What a rule did for a while is shown no more when it has ended by itself. Only on the exchange's
 * thread.
 */
final class RuleEnds {
  private final ExchangeLoop loop;
  private final Runnable tell;

  /** When that is told next; null when no rule ends. */
  private @Nullable Instant next;

  /**
   * @param tell has whatever follows from rules shown anew
   */
  RuleEnds(ExchangeLoop loop, Runnable tell) {
    this.loop = loop;
    this.tell = tell;
  }

  /** Looks when the next one ends: when the exchange begins, and when rules have changed. */
  void await() {
    Instant now = loop.now();
    Instant end = loop.exchange().office().directions().nextEnd(now);
    if (end != null && (next == null || end.isBefore(next))) {
      next = end;
      loop.later(Duration.between(now, end), this::ended);
    }
  }

  private void ended() {
    next = null;
    tell.run();
    await();
  }
}
