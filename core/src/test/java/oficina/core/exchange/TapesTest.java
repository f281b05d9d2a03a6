package oficina.core.exchange;

import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.TapeEnd;
import oficina.core.commands.CallCommand;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.events.TapeEvent.TapeAnnounced;
import oficina.core.events.TapeEvent.TapeStarted;
import oficina.core.events.TapeEvent.TapeStopped;
import oficina.core.heard.Taping;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.Tape;
import org.junit.jupiter.api.Test;

/** Calls that are recorded, and those that must not be. */
class TapesTest {
  private final Scene scene = new Scene();

  private void policy(Settings.Policy policy, Settings.Announced announced, boolean emergencies) {
    Office office = scene.office.office;
    Settings usual = office.settings();
    Settings.Recording recording =
        new Settings.Recording(
            policy, announced, emergencies, usual.recording().kept(), true, false);
    scene.exchange.office(
        office.with(
            TestOffice.settings(
                usual, recording, usual.frontDesk(), usual.pickUp(), usual.barring())));
  }

  private Reason tape(CallId call, PersonId person, boolean on) {
    Refusal refusal = scene.run(new CallCommand.Tape(call, person, on));
    return refusal == null ? null : refusal.reason();
  }

  private Connection leg(CallId call, PersonId person) {
    return scene.state(call).of(person);
  }

  private Taping taping(CallId call, PersonId person) {
    return Taping.of(scene.state(call), leg(call, person));
  }

  private int outsider(CallId id) {
    Call call = scene.state(id);
    return call.connections().stream()
        .filter(each -> each.party().usesOutsideLine())
        .findFirst()
        .orElseThrow()
        .leg();
  }

  private CallId talk(PersonId from, String to, PersonId answers) {
    CallId call = scene.call(from, to);
    scene.answer(call, answers);
    return call;
  }

  private CallId dovCalls(String number, PersonId answers) {
    CallId call = scene.arrive(DOV, number);
    scene.answer(call, answers);
    return call;
  }

  private long count(Class<?> kind) {
    return scene.events.stream().filter(kind::isInstance).count();
  }

  private TapeEnd lastEnd() {
    return scene.events.stream()
        .filter(TapeStopped.class::isInstance)
        .map(TapeStopped.class::cast)
        .reduce((first, second) -> second)
        .orElseThrow()
        .why();
  }

  @Test
  void every_call_of_somebody_who_wants_that_is_recorded_and_announced() {
    CallId call = dovCalls("+441914980222", ZOE);
    assertThat(leg(call, ZOE).tape().on()).isTrue();
    assertThat(count(TapeAnnounced.class)).isEqualTo(1);
    assertThat(taping(call, ZOE))
        .isEqualTo(new Taping(List.of(leg(call, ZOE).leg()), List.of(outsider(call))));
    scene.clear(call, ZOE);
    assertThat(scene.entry(call, ZOE).recorded()).isTrue();
  }

  @Test
  void others_start_and_stop_it_and_only_they_go_on() {
    CallId call = talk(INES, "221", TOMASZ);
    assertThat(taping(call, INES)).isNull();
    assertThat(tape(call, INES, true)).isNull();
    assertThat(taping(call, INES)).isNotNull();
    assertThat(taping(call, TOMASZ)).as("for Ines alone").isNull();
    assertThat(tape(call, INES, false)).isNull();
    assertThat(lastEnd()).isEqualTo(TapeEnd.STOPPED);
    assertThat(taping(call, INES)).isNull();
    assertThat(tape(call, INES, true)).isNull();
    scene.clear(call, INES);
    assertThat(scene.entry(call, INES).recorded()).isTrue();
    assertThat(scene.entry(call, TOMASZ).recorded()).isFalse();
  }

  @Test
  void what_was_stopped_does_not_begin_again_by_itself() {
    CallId call = talk(ZOE, "201", INES);
    assertThat(tape(call, ZOE, false)).isNull();
    scene.run(new CallCommand.Hold(call, ZOE));
    scene.run(new CallCommand.Retrieve(call, ZOE));
    assertThat(leg(call, ZOE).tape().state()).isEqualTo(Tape.State.STOPPED);
  }

  @Test
  void nothing_of_either_side_is_recorded_while_one_holds_the_other() {
    CallId call = dovCalls("+441914980222", ZOE);
    scene.run(new CallCommand.Hold(call, ZOE));
    assertThat(taping(call, ZOE)).isNull();
    scene.run(new CallCommand.Retrieve(call, ZOE));
    assertThat(taping(call, ZOE)).isNotNull();
    CallId inside = talk(ZOE, "201", INES);
    scene.run(new CallCommand.Hold(inside, INES));
    assertThat(taping(inside, ZOE)).as("held by the other").isNull();
  }

  @Test
  void whoever_refuses_is_in_no_recording_of_that_call_however_it_stands() {
    CallId first = talk(INES, "222", ZOE);
    scene.wait(1);
    tape(first, INES, true);
    tape(first, INES, false);
    scene.run(new CallCommand.Hold(first, INES));
    CallId second = dovCalls("+441914980201", INES);
    scene.run(new ConferenceCommand.Join(first, INES, second));
    scene.run(new NetworkCommand.NetworkKeys(first, outsider(first), "*"));
    assertThat(leg(first, ZOE).tape().state()).isEqualTo(Tape.State.NONE);
    assertThat(leg(first, INES).tape().state()).isEqualTo(Tape.State.NONE);
  }

  @Test
  void two_for_whom_a_call_is_recorded_have_it_announced_once() {
    policy(Settings.Policy.EVERY_CALL, Settings.Announced.SENTENCE, false);
    talk(INES, "213", BRAM);
    assertThat(count(TapeStarted.class)).isEqualTo(2);
    assertThat(count(TapeAnnounced.class)).isEqualTo(1);
  }

  @Test
  void muting_leaves_the_others_in_it() {
    CallId call = dovCalls("+441914980222", ZOE);
    scene.run(new CallCommand.Mute(call, ZOE, true));
    assertThat(taping(call, ZOE)).isEqualTo(new Taping(List.of(), List.of(outsider(call))));
  }

  @Test
  void somebody_who_wants_none_recorded_and_an_office_that_wants_none_are_refused() {
    CallId call = talk(CELIA, "213", BRAM);
    assertThat(tape(call, CELIA, true)).isEqualTo(Reason.RECORDING_NOT_ALLOWED);
    policy(Settings.Policy.NEVER, Settings.Announced.SENTENCE, false);
    assertThat(tape(call, BRAM, true)).isEqualTo(Reason.RECORDING_NOT_ALLOWED);
    policy(Settings.Policy.EVERY_CALL, Settings.Announced.SENTENCE, false);
    scene.run(new CallCommand.Hold(call, CELIA));
    assertThat(leg(call, CELIA).tape().on()).as("the office records all").isTrue();
  }

  @Test
  void a_call_in_which_nobody_has_answered_is_not_recorded() {
    CallId call = scene.call(INES, "221");
    assertThat(tape(call, INES, true)).isEqualTo(Reason.NOT_ANSWERED);
    assertThat(tape(call, INES, false)).as("it is not recorded as it is").isNull();
  }

  @Test
  void an_outsider_refuses_by_a_key_soon_after_they_were_told() {
    CallId call = dovCalls("+441914980222", ZOE);
    scene.run(new NetworkCommand.NetworkKeys(call, outsider(call), "1"));
    assertThat(taping(call, ZOE)).isNotNull();
    scene.run(new NetworkCommand.NetworkKeys(call, outsider(call), "*"));
    assertThat(lastEnd()).isEqualTo(TapeEnd.REFUSED);
    assertThat(tape(call, ZOE, true)).isEqualTo(Reason.RECORDING_REFUSED);
    scene.clear(call, ZOE);
    assertThat(scene.entry(call, ZOE).recorded()).isFalse();

    CallId stopped = dovCalls("+441914980222", ZOE);
    tape(stopped, ZOE, false);
    tape(stopped, ZOE, true);
    tape(stopped, ZOE, false);
    assertThat(scene.run(new NetworkCommand.NetworkKeys(stopped, outsider(stopped), "*"))).isNull();
    assertThat(leg(stopped, ZOE).tape().state())
        .as("nothing is recorded to be refused")
        .isEqualTo(Tape.State.STOPPED);
    scene.clear(stopped, ZOE);

    CallId late = dovCalls("+441914980222", ZOE);
    scene.wait(31);
    scene.run(new NetworkCommand.NetworkKeys(late, outsider(late), "*"));
    assertThat(taping(late, ZOE)).as("too late").isNotNull();
  }

  @Test
  void whoever_has_refused_is_recorded_by_nobody_they_are_sent_on_to() {
    CallId call = dovCalls("+441914980221", TOMASZ);
    tape(call, TOMASZ, true);
    scene.run(new NetworkCommand.NetworkKeys(call, outsider(call), "*"));
    scene.run(
        new SendCommand.PutThrough(call, TOMASZ, scene.office.plan.interpret("222"), null, null));
    scene.answer(call, ZOE);
    assertThat(leg(call, ZOE).tape().on()).isFalse();
  }

  @Test
  void a_call_sent_on_is_recorded_further_only_where_the_next_one_is() {
    CallId call = dovCalls("+441914980222", ZOE);
    scene.run(
        new SendCommand.PutThrough(call, ZOE, scene.office.plan.interpret("213"), null, null));
    scene.answer(call, BRAM);
    assertThat(taping(call, BRAM)).isNull();
    scene.run(
        new SendCommand.PutThrough(call, BRAM, scene.office.plan.interpret("222"), null, null));
    scene.answer(call, ZOE);
    assertThat(taping(call, ZOE)).isNotNull();
  }

  @Test
  void a_conference_is_recorded_once_and_its_other_members_are_told_for_whom() {
    CallId first = talk(INES, "222", ZOE);
    scene.wait(1);
    assertThat(tape(first, INES, true)).as("both of two").isNull();
    scene.run(new CallCommand.Hold(first, INES));
    CallId second = scene.nextId();
    scene.run(
        new CallCommand.MakeCall(
            second, INES, Scene.WINDOW, scene.office.plan.interpret("213"), null));
    scene.answer(second, BRAM);
    scene.run(new ConferenceCommand.Join(first, INES, second));
    assertThat(scene.state(first).conference()).isTrue();
    assertThat(taping(first, ZOE)).isNotNull();
    assertThat(taping(first, INES)).isNull();
    assertThat(lastEnd()).isEqualTo(TapeEnd.RECORDED_BY_OTHER);
    assertThat(tape(first, BRAM, true)).isEqualTo(Reason.RECORDED_BY_OTHER);
    assertThat(taping(first, ZOE).theirs()).hasSize(2);
  }

  @Test
  void a_newcomer_from_outside_is_told_and_a_refuser_ends_it() {
    CallId first = talk(INES, "222", ZOE);
    long announced = count(TapeAnnounced.class);
    scene.run(new CallCommand.Hold(first, INES));
    CallId second = dovCalls("+441914980201", INES);
    scene.run(new ConferenceCommand.Join(first, INES, second));
    assertThat(count(TapeAnnounced.class)).isEqualTo(announced + 1);
    scene.run(new NetworkCommand.NetworkKeys(first, outsider(first), "*"));
    assertThat(taping(first, ZOE)).isNull();
    assertThat(tape(first, ZOE, true)).isEqualTo(Reason.RECORDING_REFUSED);
  }

  @Test
  void emergency_calls_are_recorded_only_if_the_office_says_so() {
    CallId call = scene.call(ZOE, "999");
    scene.run(new NetworkCommand.NetworkAnswers(call, outsider(call)));
    assertThat(tape(call, ZOE, true)).isEqualTo(Reason.EMERGENCY_NOT_RECORDED);
    scene.clear(call, ZOE);
    policy(Settings.Policy.CHOICE, Settings.Announced.NOT, true);
    CallId another = scene.call(ZOE, "999");
    scene.run(new NetworkCommand.NetworkAnswers(another, outsider(another)));
    assertThat(taping(another, ZOE)).isNotNull();
    assertThat(count(TapeAnnounced.class)).as("the office says nothing").isZero();
    assertThat(count(TapeStarted.class)).isEqualTo(1);
  }

  @Test
  void nothing_said_to_the_voice_that_reads_messages_out_is_recorded() {
    CallId call = scene.call(ZOE, "290");
    assertThat(tape(call, ZOE, true)).isEqualTo(Reason.NOT_ANSWERED);
    scene.clear(call, ZOE);
    CallId sent = talk(ZOE, "201", INES);
    scene.run(
        new SendCommand.PutThrough(sent, INES, scene.office.plan.interpret("290"), null, null));
    assertThat(leg(sent, ZOE).tape().on()).isTrue();
    assertThat(taping(sent, ZOE)).isNull();
  }
}
