package oficina.server.voicemail;

import jakarta.annotation.PreDestroy;
import java.time.Duration;
import oficina.server.threads.Hourly;
import oficina.server.time.MovableClock;
import org.springframework.stereotype.Component;

/** Forgets for good what people have removed. */
@Component
class ForgettingMessages {
  /** So long what was removed by mistake can still be brought back. */
  private static final Duration KEPT_AFTER_REMOVAL = Duration.ofDays(30);

  private final Hourly hourly;

  ForgettingMessages(MessageFilingStore messages, MovableClock clock) {
    hourly =
        new Hourly(
            "forgetting-messages",
            () -> messages.forget(clock.instant().minus(KEPT_AFTER_REMOVAL)));
  }

  @PreDestroy
  void stop() {
    hourly.stop();
  }
}
