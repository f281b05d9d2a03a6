package oficina.server.passwords;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.server.time.MovableClock;
import org.junit.jupiter.api.Test;

/** How long whoever guesses has to wait, by a clock that stands still between two tries. */
class SlowDownTest {
  private Instant now = Instant.parse("2026-11-30T09:00:00Z");

  private final SlowDown slowDown =
      new SlowDown(
          new MovableClock() {
            @Override
            public Instant instant() {
              return now;
            }
          });

  private static final Tried STRANGER = new Tried("petra", "192.0.2.1", null);

  private void fail(Tried tried, int times) {
    for (int i = 0; i < times; i++) {
      slowDown.failed(tried);
    }
  }

  @Test
  void each_wrong_try_after_the_third_waits_twice_as_long_and_a_right_one_ends_that() {
    fail(STRANGER, 2);
    assertThat(slowDown.wait(STRANGER)).isZero();
    for (int seconds : List.of(1, 2, 4, 8)) {
      slowDown.failed(STRANGER);
      assertThat(slowDown.wait(STRANGER)).isEqualTo(Duration.ofSeconds(seconds));
      now = now.plusSeconds(seconds);
      assertThat(slowDown.wait(STRANGER)).isZero();
    }
    slowDown.failed(STRANGER);
    slowDown.succeeded(STRANGER);
    assertThat(slowDown.wait(STRANGER)).isZero();
  }

  @Test
  void nobody_waits_longer_than_a_minute_for_their_own_tries() {
    fail(STRANGER, 9);
    Tried known = new Tried("petra", "192.0.2.1", "a browser of hers");
    fail(known, 40);
    assertThat(slowDown.wait(known)).isEqualTo(Duration.ofMinutes(1));
  }

  @Test
  void whoever_has_been_here_before_waits_for_nobody_else() {
    Tried known = new Tried("petra", "192.0.2.1", "a browser of hers");
    fail(STRANGER, 12);
    assertThat(slowDown.wait(STRANGER)).isPositive();
    assertThat(slowDown.wait(known)).isZero();
  }
}
