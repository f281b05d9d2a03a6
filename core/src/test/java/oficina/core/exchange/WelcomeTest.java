package oficina.core.exchange;

import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.heard.Listening;
import oficina.core.history.Part;
import oficina.core.history.Segment;
import oficina.core.rules.CallRules;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/** Whoever calls the freight line from outside is welcomed, and may dial an extension. */
class WelcomeTest {
  private static final String LINE = "+441914980220";
  private final Scene scene = new Scene();

  WelcomeTest() {
    CallRules welcomes = new CallRules(List.of(), List.of(), null, List.of(), true);
    var directions =
        scene.exchange.office().directions().with(new Party.Members(FREIGHT), welcomes);
    scene.exchange.office(scene.exchange.office().with(directions));
  }

  private int voice(CallId call) {
    return scene.state(call).standIn().leg();
  }

  private Refusal dials(CallId call, String digits) {
    return scene.run(
        new MachineCommand.WelcomeConnects(call, voice(call), scene.office.plan.interpret(digits)));
  }

  @Test
  void the_caller_hears_it_and_then_it_rings() {
    CallId call = scene.arrive(DOV, LINE);
    Listening heard = Listening.of(scene.state(call), scene.state(call).leg(1));
    assertThat(heard.voices()).containsExactly(voice(call));
    assertThat(scene.state(call).answered()).isNull();
    assertThat(scene.state(call).of(TOMASZ)).isNull();
    scene.wait(10);
    assertThat(scene.run(new MachineCommand.WelcomeOver(call, voice(call)))).isNull();
    assertThat(scene.state(call, TOMASZ)).isEqualTo(ConnectionState.ALERTING);
    assertThat(scene.state(call, ZOE)).isEqualTo(ConnectionState.ALERTING);
    scene.answer(call, ZOE);
    scene.clear(call, ZOE);
    assertThat(scene.course(call)).extracting(Segment::kind).contains(Segment.Kind.WELCOMED);
    assertThat(scene.entry(call, ZOE).line()).isEqualTo(new Party.Members(FREIGHT));
  }

  @Test
  void a_voice_that_has_failed_lets_it_ring_after_two_minutes() {
    CallId call = scene.arrive(DOV, LINE);
    scene.wait(121);
    assertThat(scene.state(call, TOMASZ)).isEqualTo(ConnectionState.ALERTING);
  }

  @Test
  void an_extension_that_is_dialled_rings_and_if_nobody_answers_the_line_does() {
    CallId call = scene.arrive(DOV, LINE);
    assertThat(dials(call, "201")).isNull();
    assertThat(scene.state(call, INES)).isEqualTo(ConnectionState.ALERTING);
    assertThat(scene.state(call).of(TOMASZ)).isNull();
    scene.wait(31);
    assertThat(scene.state(call).of(INES)).isNull();
    assertThat(scene.state(call, TOMASZ)).isEqualTo(ConnectionState.ALERTING);
    scene.wait(31);
    assertThat(scene.state(call).mailbox().party().mailboxOf())
        .isEqualTo(new Party.Members(FREIGHT));
    assertThat(scene.entry(call, INES).result()).isEqualTo(Part.Result.MISSED);
  }

  @Test
  void who_is_not_there_brings_the_caller_to_the_line_at_once() {
    scene.goes(INES);
    CallId call = scene.arrive(DOV, LINE);
    assertThat(dials(call, "201")).isNull();
    assertThat(scene.state(call, TOMASZ)).isEqualTo(ConnectionState.ALERTING);
  }

  @Test
  void what_is_no_extension_is_refused_and_nobody_is_called_outside_by_it() {
    CallId call = scene.arrive(DOV, LINE);
    for (String digits : List.of("999", "299", "01134960148", "61", "290")) {
      assertThat(dials(call, digits).reason()).as(digits).isEqualTo(Reason.TARGET_NOT_IN_USE);
    }
    assertThat(scene.state(call).standIn()).isNotNull();
  }

  @Test
  void colleagues_are_not_welcomed_and_whoever_hangs_up_is_gone() {
    CallId inside = scene.call(INES, "220");
    assertThat(scene.state(inside, TOMASZ)).isEqualTo(ConnectionState.ALERTING);
    CallId call = scene.arrive(DOV, LINE);
    scene.run(new NetworkCommand.NetworkClears(call, 1));
    assertThat(scene.state(call)).isNull();
    assertThat(scene.events.get(scene.events.size() - 1))
        .hasFieldOrPropertyWithValue("cause", Cause.CALLER_GAVE_UP);
  }
}
