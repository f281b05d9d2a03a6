package oficina.core.register;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.FRONT_DESK;
import static oficina.core.TestOffice.INES;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import oficina.core.TestOffice;
import oficina.core.call.Party;
import oficina.core.office.Dependants;
import oficina.core.office.Dependants.Dependant;
import oficina.core.office.Dependants.How;
import oficina.core.office.Office;
import oficina.core.rules.CallRules;
import oficina.core.rules.CallRules.Ring;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import org.junit.jupiter.api.Test;

class ReplacementTest {
  private static final Party INES_HERSELF = new Party.Employee(INES);
  private static final Party ADAEZE_HERSELF = new Party.Employee(ADAEZE);
  private static final Party DESK_LINE = new Party.Members(FRONT_DESK);
  private static final Party FREIGHT_LINE = new Party.Members(FREIGHT);
  private static final Replacement BY_THE_DESK = new Replacement(FREIGHT, FRONT_DESK);

  private Office office = new TestOffice().office;

  private static Rule to(Party party) {
    return new Rule(7, Situation.NO_ANSWER, Callers.ANYBODY, null, null, Destination.to(party));
  }

  private void decides(Party owner, List<Rule> rules, Party... rung) {
    List<Ring> rings =
        rung.length == 0 ? List.of() : List.of(new Ring(List.of(rung), Duration.ofSeconds(20)));
    office = office.with(office.directions().with(owner, new CallRules(rules, rings, null)));
  }

  @Test
  void whoever_counts_on_a_line_is_known_and_counts_on_the_other_then() {
    decides(INES_HERSELF, List.of(to(FREIGHT_LINE)));
    decides(ADAEZE_HERSELF, List.of(), ADAEZE_HERSELF, FREIGHT_LINE, DESK_LINE);
    assertThat(new Dependants(office).of(FREIGHT))
        .containsExactlyInAnyOrder(
            new Dependant(How.RULES_LEAD_THERE, INES_HERSELF),
            new Dependant(How.RINGS_THERE, ADAEZE_HERSELF));
    assertThat(new Dependants(office).of(FRONT_DESK))
        .contains(new Dependant(How.FRONT_DESK, DESK_LINE));
    var then = BY_THE_DESK.rules(office);
    assertThat(then).containsOnlyKeys(INES_HERSELF, ADAEZE_HERSELF);
    assertThat(then.get(INES_HERSELF).rules()).containsExactly(to(DESK_LINE));
    assertThat(then.get(ADAEZE_HERSELF).rings().get(0).who())
        .as("nobody is rung twice")
        .containsExactly(ADAEZE_HERSELF, DESK_LINE);
    assertThat(BY_THE_DESK.misfits(office)).isEmpty();
  }

  @Test
  void a_line_does_not_fit_where_calls_would_go_round_or_there_is_no_mailbox() {
    decides(DESK_LINE, List.of(to(FREIGHT_LINE)));
    assertThat(BY_THE_DESK.misfits(office)).as("to itself").containsExactly(DESK_LINE);
    decides(DESK_LINE, List.of(to(INES_HERSELF)));
    decides(INES_HERSELF, List.of(to(FREIGHT_LINE)));
    assertThat(BY_THE_DESK.misfits(office))
        .as("desk, Ines, desk")
        .containsExactlyInAnyOrder(DESK_LINE, INES_HERSELF);
    decides(DESK_LINE, List.of());
    decides(INES_HERSELF, List.of(to(new Party.Mailbox(FREIGHT_LINE))));
    assertThat(BY_THE_DESK.misfits(office)).as("no mailbox there").containsExactly(INES_HERSELF);
  }
}
