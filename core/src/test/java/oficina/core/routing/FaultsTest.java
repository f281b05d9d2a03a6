package oficina.core.routing;

import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.blocking.BlockList;
import oficina.core.call.Party;
import oficina.core.exchange.Scene;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Opening;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import org.junit.jupiter.api.Test;

/** What a person is told who has written rules that cannot do what they say. */
class FaultsTest {
  private static final Party ME = new Party.Employee(TOMASZ);
  private static final Party TO_BRAM = new Party.Employee(BRAM);
  private static final Callers INSIDE = of(Callers.Kind.INSIDE);
  private static final Callers OUTSIDE = of(Callers.Kind.OUTSIDE);

  private long rules;

  private static Callers of(Callers.Kind kind) {
    return new Callers(kind, Set.of(), Set.of(), Set.of());
  }

  private Rule rule(Situation when, Callers callers, Destination to) {
    return new Rule(++rules, when, callers, null, null, to);
  }

  private static List<RuleCheck.Fault> faults(CallRules all) {
    Office usual = new Scene().office.office;
    Opening always = Opening.always(usual.identity().zone());
    Directions decided =
        new Directions(
            Map.of(ME, all),
            BlockList.EMPTY,
            always,
            (number, viewer) -> Set.of(),
            Map.of(),
            false);
    return new RuleCheck(usual.with(decided)).faults(ME);
  }

  @Test
  void faults_say_what_is_wrong() {
    Destination bram = Destination.to(TO_BRAM);
    List<RuleCheck.Fault> faults =
        faults(
            new CallRules(
                List.of(
                    rule(Situation.BUSY, Callers.ANYBODY, bram),
                    rule(Situation.BUSY, INSIDE, Destination.REFUSE),
                    rule(Situation.NO_ANSWER, Callers.ANYBODY, Destination.RING),
                    rule(Situation.OFF_DUTY, Callers.ANYBODY, Destination.to(ME)),
                    rule(
                        Situation.NOT_THERE,
                        Callers.ANYBODY,
                        Destination.to(new Party.Nobody("299"))),
                    rule(Situation.ALWAYS, INSIDE, Destination.to(new Party.Emergency("999"))),
                    rule(Situation.ALWAYS, OUTSIDE, Destination.to(new Party.Mailbox(TO_BRAM)))),
                List.of(),
                null));
    assertThat(faults)
        .extracting(RuleCheck.Fault::kind)
        .containsExactly(
            RuleCheck.Kind.NEVER_REACHED,
            RuleCheck.Kind.RINGS_ALREADY,
            RuleCheck.Kind.TO_ONESELF,
            RuleCheck.Kind.NOT_IN_USE,
            RuleCheck.Kind.NOT_FOR_OTHERS,
            RuleCheck.Kind.NO_MAILBOX);
    List<RuleCheck.Fault> ofRings =
        faults(
            new CallRules(
                List.of(), List.of(new CallRules.Ring(List.of(), Duration.ofSeconds(9))), null));
    assertThat(ofRings.get(0).kind()).isEqualTo(RuleCheck.Kind.RINGS_NOBODY);
  }
}
