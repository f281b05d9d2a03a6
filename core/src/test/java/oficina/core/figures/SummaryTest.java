package oficina.core.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import oficina.core.figures.Wait.Outcome;
import org.junit.jupiter.api.Test;

/** What is made of the waits that were counted. */
class SummaryTest {
  private static final List<Count> TWO_DAYS =
      List.of(
          count(18, Outcome.ANSWERED, 4, 3, 60, 45),
          count(18, Outcome.GIVEN_UP, 2, 2, 200, 150),
          count(18 + 48, Outcome.ANSWERED, 1, 1, 5, 5),
          count(19, Outcome.MESSAGE, 1, 0, 90, 90),
          count(20, Outcome.SENT_ON, 1, 0, 300, 300));

  private static Count count(
      long slot, Outcome outcome, long calls, long inTime, long waited, long longest) {
    return new Count(
        slot, outcome, calls, inTime, Duration.ofSeconds(waited), Duration.ofSeconds(longest));
  }

  @Test
  void whoever_gave_up_early_was_not_answered_in_time() {
    Summary summary = Summary.of(TWO_DAYS);
    assertThat(summary.offered()).isEqualTo(9);
    assertThat(summary.ended(Outcome.ANSWERED)).isEqualTo(5);
    assertThat(summary.inTime()).isEqualTo(4);
    assertThat(summary.longest()).isEqualTo(Duration.ofSeconds(300));
    assertThat(summary.patience()).isEqualTo(Duration.ofSeconds(100));
    assertThat(summary.meanWait().toSeconds()).isEqualTo(655 / 9);
    assertThat(Summary.of(List.of()).meanWait()).isZero();
  }

  @Test
  void the_same_half_hour_of_several_days_is_one() {
    assertThat(HalfHour.of(TWO_DAYS))
        .containsExactly(
            new HalfHour(18, 4, 1, 2, 0),
            new HalfHour(19, 0, 0, 0, 1),
            new HalfHour(20, 0, 0, 0, 1));
  }

  @Test
  void nobody_is_at_work_longer_than_they_are_there() {
    assertThat(Summary.occupancy(Duration.ofMinutes(15), Duration.ofHours(1))).isEqualTo(25);
    assertThat(Summary.occupancy(Duration.ofMinutes(61), Duration.ofHours(1))).isEqualTo(100);
  }
}
