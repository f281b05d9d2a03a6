package oficina.core.queueing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against published tables, known limits, and a second way to compute the same. */
class ErlangTest {
  private static final Duration MINUTE = Duration.ofMinutes(1);
  private static final Offset<Double> FOUR_DIGITS = within(5e-5);

  /** Traffic at which one call in a hundred is lost, as traffic tables give it. */
  @ParameterizedTest
  @CsvSource({
    "1, 0.0101",
    "2, 0.1526",
    "5, 1.3608",
    "10, 4.4612",
    "20, 12.031",
    "50, 37.901",
    "100, 84.064"
  })
  void lost_calls_as_in_the_tables(int lines, double traffic) {
    assertThat(Erlang.lost(lines, traffic)).isCloseTo(0.01, within(2e-5));
    assertThat(Erlang.linesFor(traffic * 0.999, 0.01)).isEqualTo(lines);
    assertThat(Erlang.linesFor(traffic * 1.01, 0.01)).isEqualTo(lines + 1);
  }

  @ParameterizedTest
  @CsvSource({"1, 0.5, 0.5", "2, 1, 0.3333", "3, 2, 0.4444", "5, 4, 0.5541", "10, 8, 0.4092"})
  void waiting_calls_as_in_the_tables(int servers, double traffic, double waits) {
    assertThat(Erlang.waits(servers, traffic)).isCloseTo(waits, FOUR_DIGITS);
    assertThat(Erlang.meanWait(servers, traffic, MINUTE))
        .isCloseTo(60 * Erlang.waits(servers, traffic) / (servers - traffic), within(1e-9));
  }

  @Test
  void ten_thousand_servers_lose_no_digits() {
    assertThat(Erlang.lost(10_000, 10_000)).isCloseTo(0.0079, FOUR_DIGITS);
    assertThat(Erlang.lost(10_000, 5_000)).isBetween(0.0, 1e-300);
    assertThat(Erlang.waits(10_000, 9_900)).isBetween(0.2, 0.3);
    double impatient = new Impatience(10_000, 12_000, MINUTE, MINUTE).givesUp();
    assertThat(impatient)
        .as("what cannot be served")
        .isCloseTo(1 - 10_000 / 12_000.0, within(1e-4));
    assertThat(Erlang.answeredWithin(MINUTE, 5, 5, MINUTE)).isZero();
    assertThat(Erlang.meanWait(5, 5, MINUTE)).isInfinite();
    assertThat(Erlang.waits(0, 0)).isZero();
  }

  /** With patience as long as a call, each is served or leaves at one rate: a Poisson number. */
  @Test
  void patience_as_long_as_a_call_is_known_exactly() {
    double traffic = 7;
    double fewer = 0;
    double term = Math.exp(-traffic);
    for (int calls = 0; calls < 6; calls++) {
      fewer += term;
      term *= traffic / (calls + 1);
    }
    Impatience line = new Impatience(6, traffic, MINUTE, MINUTE);
    assertThat(line.waits()).isCloseTo(1 - fewer, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"1, 0.8, 30", "5, 4.5, 120", "20, 25, 90", "50, 48, 120", "200, 190, 600"})
  void by_states_as_by_integrals(int servers, double traffic, int patience) {
    Impatience line = new Impatience(servers, traffic, MINUTE, Duration.ofSeconds(patience));
    double leaving = 60.0 / patience;
    double below = Erlang.inverseLost(servers, traffic) - 1;
    double above = 0;
    double queued = 0;
    double term = 1;
    for (int waiting = 0; waiting < 5_000; waiting++) {
      above += term;
      queued += waiting * term;
      term *= traffic / (servers + (waiting + 1) * leaving);
    }
    double meanWait = 60 * queued / (below + above) / traffic;
    assertThat(line.waits()).isCloseTo(above / (below + above), within(1e-8));
    assertThat(line.meanWait()).isCloseTo(meanWait, within(1e-6));
    assertThat(line.givesUp()).isCloseTo(meanWait / patience, within(1e-8));
    assertThat(line.answeredWithin(Duration.ZERO)).isCloseTo(1 - line.waits(), within(1e-8));
    assertThat(line.answeredWithin(Duration.ofDays(1))).isCloseTo(1 - line.givesUp(), within(1e-8));
  }

  @Test
  void endless_patience_is_none() {
    Impatience line = new Impatience(10, 8, MINUTE, Duration.ofDays(100));
    assertThat(line.waits()).isCloseTo(Erlang.waits(10, 8), within(1e-4));
    assertThat(line.answeredWithin(Duration.ofSeconds(20)))
        .isCloseTo(Erlang.answeredWithin(Duration.ofSeconds(20), 10, 8, MINUTE), within(1e-4));
  }
}
