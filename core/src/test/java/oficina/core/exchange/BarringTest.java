package oficina.core.exchange;

import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal.Reason;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Barring;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.routing.RuleCheck;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Numbers that the office does not want called, but by Ines. */
class BarringTest {
  private static final String DEAR = "0909 879 0123";
  private static final Party DEAR_ONE = new Party.Outside(new PhoneNumber("+449098790123"));

  private final Scene scene = new Scene();

  @BeforeEach
  void dear_numbers_are_barred() {
    scene.exchange.office(barred(scene.office.office));
  }

  private static Office barred(Office office) {
    Settings usual = office.settings();
    return office.with(
        TestOffice.settings(
            usual,
            usual.recording(),
            usual.frontDesk(),
            usual.pickUp(),
            new Barring(List.of("+44909", "+3", "118"), Set.of(INES))));
  }

  @Test
  void nobody_calls_them_but_who_may_and_help_is_always_called() {
    assertThat(scene.tryCall(TOMASZ, DEAR)).isEqualTo(Reason.NUMBER_BARRED);
    assertThat(scene.tryCall(TOMASZ, "00351 21 000 0000")).isEqualTo(Reason.NUMBER_BARRED);
    assertThat(scene.tryCall(TOMASZ, "0131 496 0162")).isNull();
    assertThat(scene.tryCall(ZOE, "118118")).isEqualTo(Reason.NUMBER_BARRED);
    assertThat(scene.tryCall(INES, DEAR)).isNull();
    assertThat(scene.tryCall(ZOE, "999")).isNull();
  }

  @Test
  void a_caller_is_not_sent_there_and_stays_where_they_are() {
    CallId dov = scene.arrive(DOV, "+441914980221");
    scene.answer(dov, TOMASZ);
    assertThat(
            scene
                .run(
                    new SendCommand.PutThrough(
                        dov, TOMASZ, scene.office.plan.interpret(DEAR), null, null))
                .reason())
        .isEqualTo(Reason.NUMBER_BARRED);
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void rules_do_not_lead_there_but_of_who_may() {
    for (Party owner :
        List.of(new Party.Employee(TOMASZ), new Party.Members(FREIGHT), new Party.Employee(INES))) {
      Rule there =
          new Rule(1, Situation.NO_ANSWER, Callers.ANYBODY, null, null, Destination.to(DEAR_ONE));
      Office office = scene.office.office;
      CallRules rules = new CallRules(List.of(there), List.of(), null);
      Office then = barred(office.with(office.directions().with(owner, rules)));
      assertThat(new RuleCheck(then).faults(owner))
          .as(owner.toString())
          .extracting(RuleCheck.Fault::kind)
          .isEqualTo(INES.equals(owner.employee()) ? List.of() : List.of(RuleCheck.Kind.BARRED));
    }
  }
}
