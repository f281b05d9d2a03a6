package oficina.core.office;

import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import org.junit.jupiter.api.Test;

/** Where all calls of somebody go, as long as they do. */
class DirectionsTest {
  private static final Party TO_BRAM = new Party.Employee(BRAM);
  private static final Instant END = Instant.parse("2026-06-15T17:00:00Z");

  private static Directions forwarded(Instant until) {
    Rule rule =
        new Rule(1, Situation.ALWAYS, Callers.ANYBODY, null, until, Destination.to(TO_BRAM));
    return Directions.none(ZoneOffset.UTC)
        .with(new Party.Employee(TOMASZ), new CallRules(List.of(rule), List.of(), null));
  }

  @Test
  void what_is_so_for_a_while_is_so_until_it_ends() {
    Directions directions = forwarded(END);
    assertThat(directions.forwardOf(TOMASZ, END.minusSeconds(1))).isEqualTo(TO_BRAM);
    assertThat(directions.forwardOf(TOMASZ, END)).isNull();
    assertThat(directions.forwardOf(BRAM, END)).isNull();
    assertThat(directions.nextEnd(END.minusSeconds(1))).isEqualTo(END);
    assertThat(directions.nextEnd(END)).as("it has ended").isNull();
  }

  @Test
  void what_has_no_end_goes_on() {
    Directions directions = forwarded(null);
    assertThat(directions.forwardOf(TOMASZ, END)).isEqualTo(TO_BRAM);
    assertThat(directions.nextEnd(END)).isNull();
  }
}
