package oficina.core.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import oficina.core.queueing.Queue;
import org.junit.jupiter.api.Test;

/** How many are needed, and what one fewer or more would mean. */
class StaffingTest {
  private static final Queue.Target TARGET = new Queue.Target(Duration.ofSeconds(20), 80);

  /** The usual textbook example: a hundred calls in half an hour of three minutes each. */
  @Test
  void a_busy_half_hour() {
    Staffing staffing = new Staffing(200, Duration.ofMinutes(3), null);
    assertThat(staffing.traffic()).isEqualTo(10);
    assertThat(staffing.needed(TARGET)).isEqualTo(14);
    assertThat(staffing.with(14, TARGET).within()).isBetween(0.88, 0.89);
    assertThat(staffing.with(13, TARGET).within()).isLessThan(0.8);
    assertThat(staffing.with(10, TARGET).meanWait()).isInfinite();
    assertThat(staffing.neededImpatient(TARGET)).as("no patience was seen").isNull();
  }

  @Test
  void fewer_are_needed_when_some_give_up_and_that_share_is_told() {
    Staffing staffing = new Staffing(200, Duration.ofMinutes(3), Duration.ofMinutes(2));
    int impatient = staffing.neededImpatient(TARGET);
    assertThat(impatient).isLessThanOrEqualTo(staffing.needed(TARGET));
    Staffing.With one = staffing.with(impatient - 1, TARGET);
    assertThat(one.withinImpatient()).isLessThan(0.8);
    assertThat(one.givesUp()).isGreaterThan(staffing.with(impatient, TARGET).givesUp());
  }

  @Test
  void nothing_offered_needs_nobody() {
    Staffing nothing = new Staffing(0, Duration.ZERO, Duration.ofMinutes(1));
    assertThat(nothing.needed(TARGET)).isZero();
    assertThat(nothing.neededImpatient(TARGET)).isNull();
    assertThat(nothing.with(0, TARGET).within()).isEqualTo(1);
    assertThat(Staffing.lines(0)).isZero();
    assertThat(Staffing.lines(4.4)).isEqualTo(10);
    assertThat(Staffing.expectedWait(3, 2, Duration.ofMinutes(4))).isEqualTo(Duration.ofMinutes(6));
  }
}
