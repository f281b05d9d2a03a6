package oficina.server.passwords;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import oficina.server.problems.Problem;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Waiting for a password to be checked. */
class PasswordChecksTest {
  private final PasswordChecks checks = new PasswordChecks(Duration.ofMillis(200));

  @AfterEach
  void stop() {
    checks.stop();
  }

  @Test
  void nobody_waits_for_long_and_what_nobody_waits_for_is_not_done() {
    CountDownLatch busy = new CountDownLatch(1);
    AtomicBoolean done = new AtomicBoolean();
    refused(() -> checks.await("a", () -> await(busy)));
    refused(() -> checks.await("b", () -> done.getAndSet(true)));
    busy.countDown();
    assertThat(checks.<String>await("c", () -> "right")).isEqualTo("right");
    assertThat(done).isFalse();
  }

  private static void refused(Runnable what) {
    assertThatThrownBy(what::run)
        .isInstanceOfSatisfying(Problem.class, e -> assertThat(e.code()).isEqualTo("SIGN_IN_BUSY"));
  }

  private static boolean await(CountDownLatch latch) {
    try {
      latch.await();
      return true;
    } catch (InterruptedException e) {
      return false;
    }
  }
}
