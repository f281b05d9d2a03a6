package oficina.server.exchange;

import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/**
 * Whether the exchange still does what it is asked. A server whose exchange does not is started
 * anew by the watch of {@code ./oficina start}; whether the database answers is no question of
 * this.
 */
@Component("exchange")
class ExchangeHealth implements HealthIndicator {
  private static final int PATIENCE_SECONDS = 5;

  private final ExchangeLoop loop;

  ExchangeHealth(ExchangeLoop loop) {
    this.loop = loop;
  }

  @Override
  public Health health() {
    try {
      loop.ask(() -> true).get(PATIENCE_SECONDS, TimeUnit.SECONDS);
      return Health.up().build();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Health.unknown().build();
    } catch (ExecutionException | TimeoutException e) {
      return Health.down().build();
    }
  }
}
