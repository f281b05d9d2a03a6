package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import oficina.core.blocking.Block;
import oficina.core.blocking.BlockList;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal.Reason;
import oficina.core.heard.Listening;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Opening;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/**
 * The services of RFC 5359 that exist by now, each as the sequence of states that the service's
 * call flow goes through. Alice is Ines, Bob is Tomasz, Carol is Adaeze.
 */
class Rfc5359ServicesTest {
  private static final PersonId ALICE = INES;
  private static final PersonId BOB = TOMASZ;
  private static final PersonId CAROL = ADAEZE;

  private final Scene scene = new Scene();

  /** Every connection of the call with its state and what its party hears. */
  private String states(CallId id) {
    Call call = scene.state(id);
    return call == null
        ? "over"
        : call.connections().stream()
            .map(c -> name(c) + " " + c.state() + " " + Listening.of(call, c).sound())
            .collect(Collectors.joining(", "));
  }

  private static String name(Connection connection) {
    PersonId person = connection.party().employee();
    return person.equals(ALICE) ? "Alice" : person.equals(BOB) ? "Bob" : "Carol";
  }

  private void run(Command command) {
    assertThat(scene.run(command)).isNull();
  }

  private CallId aliceTalksToBob() {
    CallId call = scene.call(ALICE, "221");
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Bob ALERTING SILENCE");
    scene.answer(call, BOB);
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Bob CONNECTED SPEECH");
    return call;
  }

  private CallId bobConsultsCarol(CallId call) {
    CallId consultation = scene.nextId();
    run(
        new SendCommand.Announce(
            call, BOB, consultation, Scene.WINDOW, scene.office.plan.interpret("212"), null));
    return consultation;
  }

  @Test
  void section_2_1_call_hold_and_2_3_music_on_hold() {
    CallId call = aliceTalksToBob();
    run(new CallCommand.Hold(call, BOB));
    assertThat(states(call)).isEqualTo("Alice CONNECTED MUSIC, Bob HOLD SILENCE");
    run(new CallCommand.Retrieve(call, BOB));
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Bob CONNECTED SPEECH");
    scene.clear(call, ALICE);
    assertThat(states(call)).isEqualTo("over");
  }

  @Test
  void section_2_2_consultation_hold() {
    CallId call = aliceTalksToBob();
    CallId consultation = bobConsultsCarol(call);
    scene.answer(consultation, CAROL);
    assertThat(states(call)).isEqualTo("Alice CONNECTED MUSIC, Bob HOLD SILENCE");
    assertThat(states(consultation)).isEqualTo("Bob CONNECTED SPEECH, Carol CONNECTED SPEECH");
    run(new SendCommand.Reconnect(consultation, BOB));
    assertThat(states(consultation)).isEqualTo("over");
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Bob CONNECTED SPEECH");
  }

  @Test
  void section_2_4_transfer_unattended() {
    CallId call = aliceTalksToBob();
    run(new SendCommand.PutThrough(call, BOB, scene.office.plan.interpret("212"), null, null));
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Carol ALERTING SILENCE");
    scene.answer(call, CAROL);
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  @Test
  void section_2_5_transfer_attended() {
    CallId call = aliceTalksToBob();
    CallId consultation = bobConsultsCarol(call);
    scene.answer(consultation, CAROL);
    run(new SendCommand.HandOver(call, BOB, consultation));
    assertThat(states(consultation)).isEqualTo("over");
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  /** Bob decides so from now on. */
  private void bobDecides(CallRules rules, Block... blocks) {
    Office usual = scene.office.office;
    scene.exchange.office(
        usual.with(
            new Directions(
                Map.of(new Party.Employee(BOB), rules),
                new BlockList(List.of(blocks)),
                Opening.always(usual.identity().zone()),
                (number, viewer) -> Set.of(),
                Map.of(),
                false)));
  }

  private void bobForwardsToCarol(Situation when) {
    Callers everybody = new Callers(Callers.Kind.ANYBODY, Set.of(), Set.of(), Set.of());
    Destination carol = Destination.to(new Party.Employee(CAROL));
    Rule rule = new Rule(1, when, everybody, null, null, carol);
    bobDecides(new CallRules(List.of(rule), List.of(), null));
  }

  @Test
  void section_2_7_call_forwarding_unconditional() {
    bobForwardsToCarol(Situation.ALWAYS);
    CallId call = scene.call(ALICE, "221");
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Carol ALERTING SILENCE");
    scene.answer(call, CAROL);
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  @Test
  void section_2_8_call_forwarding_busy() {
    bobForwardsToCarol(Situation.BUSY);
    for (PersonId other : List.of(ZOE, CELIA, BRAM)) { // no more than three calls at once
      scene.answer(scene.call(other, "221"), BOB);
    }
    CallId call = scene.call(ALICE, "221");
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Carol ALERTING SILENCE");
  }

  @Test
  void section_2_9_call_forwarding_no_answer() {
    bobForwardsToCarol(Situation.NO_ANSWER);
    CallId call = scene.call(ALICE, "221");
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Bob ALERTING SILENCE");
    scene.wait(20);
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Carol ALERTING SILENCE");
  }

  @Test
  void section_2_12_find_me() {
    Duration time = Duration.ofSeconds(10);
    bobDecides(
        new CallRules(
            List.of(),
            List.of(
                new CallRules.Ring(List.of(new Party.Employee(BOB)), time),
                new CallRules.Ring(List.of(new Party.Employee(CAROL)), time)),
            null));
    CallId call = scene.call(ALICE, "221");
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Bob ALERTING SILENCE");
    scene.wait(10);
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Carol ALERTING SILENCE");
    scene.answer(call, CAROL);
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  @Test
  void section_2_13_incoming_call_screening() {
    bobDecides(
        CallRules.NONE, new Block(1, BOB, Block.Kind.NUMBER, DOV.e164(), Block.Answer.REFUSED, ""));
    CallId screened = scene.arrive(DOV, "+441914980221");
    assertThat(scene.state(screened).failure().cause()).isEqualTo(Cause.BLOCKED);
    assertThat(scene.state(screened).of(BOB)).isNull();
    CallId other = scene.arrive(MARISOL, "+441914980221");
    assertThat(scene.state(other).of(BOB).state()).isEqualTo(ConnectionState.ALERTING);
  }

  /** What must not be called is refused before anything is set up; a call for help never is. */
  @Test
  void section_2_14_outgoing_call_screening() {
    assertThat(scene.tryCall(ALICE, "0121 49")).isEqualTo(Reason.NOT_CALLABLE);
    assertThat(scene.exchange.state().calls()).isEmpty();
    assertThat(scene.tryCall(ALICE, "999")).isNull();
  }

  @Test
  void section_2_10_three_way_conference_third_party_is_added() {
    CallId call = aliceTalksToBob();
    CallId consultation = bobConsultsCarol(call);
    scene.answer(consultation, CAROL);
    run(new ConferenceCommand.Join(call, BOB, consultation));
    assertThat(states(call))
        .isEqualTo("Alice CONNECTED SPEECH, Bob CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  @Test
  void section_2_11_three_way_conference_third_party_joins() {
    CallId call = aliceTalksToBob();
    CallId second = scene.call(CAROL, "221");
    scene.answer(second, BOB);
    assertThat(states(call)).isEqualTo("Alice CONNECTED MUSIC, Bob HOLD SILENCE");
    run(new ConferenceCommand.Join(call, BOB, second));
    assertThat(states(second)).isEqualTo("over");
    assertThat(states(call))
        .isEqualTo("Alice CONNECTED SPEECH, Bob CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  @Test
  void section_2_15_call_park() {
    CallId call = aliceTalksToBob();
    run(new SendCommand.Park(call, BOB, "61", CAROL, ""));
    assertThat(states(call)).isEqualTo("Alice CONNECTED MUSIC");
    run(new SendCommand.TakeParked(null, CAROL, Scene.WINDOW, "61", true));
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  @Test
  void section_2_17_automatic_redial() {
    scene.answer(scene.call(CAROL, "213"), BRAM); // Bram takes one call at a time: he is Bob here
    CallId busy = scene.call(ALICE, "213");
    run(new SendCommand.RequestCallBack(busy, ALICE, new CallId("wish")));
    assertThat(states(busy)).isEqualTo("over");
    scene.clear(scene.exchange.state().inHand(CAROL).get(0), CAROL);
    CallId redial = new CallId("wish-1");
    assertThat(states(redial)).isEqualTo("Alice ALERTING SILENCE");
    scene.answer(redial, ALICE);
    assertThat(scene.state(redial, BRAM)).isEqualTo(ConnectionState.ALERTING);
    scene.answer(redial, BRAM);
    assertThat(scene.state(redial).conversation()).isTrue();
  }

  @Test
  void section_2_16_call_pickup() {
    CallId call = scene.call(ALICE, "221");
    run(new CallCommand.PickUp(CAROL, Scene.WINDOW, BOB));
    assertThat(states(call)).isEqualTo("Alice CONNECTED SPEECH, Carol CONNECTED SPEECH");
  }

  @Test
  void section_2_18_click_to_dial() {
    CallId call = scene.call(ALICE, "0191 498 0221");
    assertThat(states(call)).isEqualTo("Alice CONNECTED RINGING, Bob ALERTING SILENCE");
  }
}
