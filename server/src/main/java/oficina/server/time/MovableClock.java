package oficina.server.time;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.stereotype.Component;

/**
 * The one clock of the server. It runs with the system's, ahead of it by as much as it has been
 * moved; tests move it instead of waiting.
 */
@Component
public class MovableClock extends Clock {
  private final AtomicReference<Duration> ahead = new AtomicReference<>(Duration.ZERO);
  private final List<Runnable> listeners = new CopyOnWriteArrayList<>();

  @Override
  public Instant instant() {
    return Instant.now().plus(ahead.get()).truncatedTo(ChronoUnit.MICROS);
  }

  /** Moves the clock forward and tells whoever waits for a time. */
  public void advance(Duration by) {
    ahead.updateAndGet(by::plus);
    listeners.forEach(Runnable::run);
  }

  public void onMove(Runnable listener) {
    listeners.add(listener);
  }

  @Override
  public ZoneId getZone() {
    return ZoneOffset.UTC;
  }

  @Override
  public Clock withZone(ZoneId zone) {
    throw new UnsupportedOperationException("instants are UTC throughout");
  }
}
