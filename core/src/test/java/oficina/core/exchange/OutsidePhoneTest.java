package oficina.core.exchange;

import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.PhoneStage;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.exchange.Offers.Service;
import oficina.core.heard.Listening;
import oficina.core.history.Part;
import oficina.core.notices.Notice;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.OutsidePhone;
import org.junit.jupiter.api.Test;

/** A telephone outside that places calls and takes them over: rung first, taken by a key. */
class OutsidePhoneTest {
  private final Scene scene = new Scene();

  private CallId place(PersonId person, String typed) {
    CallId id = scene.nextId();
    assertThat(tryPlace(id, person, typed)).isNull();
    return id;
  }

  private Reason tryPlace(CallId id, PersonId person, String typed) {
    return reason(
        new CallCommand.MakeCall(
            id, person, DeviceId.OUTSIDE, scene.office.plan.interpret(typed), null));
  }

  private Reason reason(Command command) {
    Refusal refusal = scene.run(command);
    return refusal == null ? null : refusal.reason();
  }

  private OutsidePhone phone(PersonId person) {
    return scene.exchange.state().outsidePhone(person);
  }

  private void answered(PersonId person) {
    assertThat(reason(new NetworkCommand.NetworkRings(phone(person).line(), 1))).isNull();
    assertThat(reason(new NetworkCommand.NetworkAnswers(phone(person).line(), 1))).isNull();
  }

  private void press(PersonId person, String digits) {
    assertThat(reason(new NetworkCommand.NetworkKeys(phone(person).line(), 1, digits))).isNull();
  }

  private void takes(PersonId person) {
    answered(person);
    press(person, "1");
  }

  private Connection own(CallId call, PersonId person) {
    return scene.state(call).of(person);
  }

  private CallId talkingOutside() {
    CallId call = place(INES, "221");
    takes(INES);
    scene.answer(call, TOMASZ);
    return call;
  }

  @Test
  void it_is_rung_first_and_the_other_party_only_after_the_key() {
    CallId call = place(INES, "221");
    assertThat(phone(INES).number()).isEqualTo(new PhoneNumber("+447700900201"));
    assertThat(scene.state(call).connections()).hasSize(1);
    assertThat(scene.exchange.state().outsideLinesTaken()).isEqualTo(1);
    answered(INES);
    press(INES, "7");
    assertThat(phone(INES).stage()).isEqualTo(PhoneStage.ASKED);
    assertThat(scene.state(call).of(TOMASZ)).isNull();
    press(INES, "1");
    assertThat(own(call, TOMASZ).state()).isEqualTo(ConnectionState.ALERTING);
    scene.answer(call, TOMASZ);
    assertThat(Listening.of(scene.state(call), own(call, TOMASZ)).sound())
        .isEqualTo(Listening.Sound.SPEECH);
    scene.wait(60);
    scene.clear(call, INES);
    assertThat(phone(INES)).as("nobody needs it any more").isNull();
    Part part = scene.entry(call, INES);
    assertThat(part.result()).isEqualTo(Part.Result.ANSWERED);
    assertThat(part.direction()).isEqualTo(Part.Direction.PLACED);
  }

  @Test
  void a_mailbox_that_answers_there_swallows_no_call_and_the_reason_is_told() {
    CallId call = place(INES, "221");
    answered(INES);
    scene.wait(16);
    assertThat(phone(INES)).isNull();
    assertThat(scene.state(call).failure().cause()).isEqualTo(Cause.PHONE_NOT_ANSWERED);
    assertThat(scene.exchange.offers(scene.state(call), INES).services())
        .as("nobody was called who could be waited for")
        .isEqualTo(List.of(Service.CLEAR));
    scene.wait(60);
    assertThat(scene.state(call)).isNull();
    assertThat(scene.entry(call, INES).result()).isEqualTo(Part.Result.PHONE_NOT_ANSWERED);
    assertThat(scene.entries(call)).as("nobody else was rung").hasSize(1);
  }

  @Test
  void whoever_hangs_up_there_ends_the_call_they_speak_in_and_held_ones_wait_for_another_device() {
    CallId first = talkingOutside();
    CallId second = place(INES, "213");
    assertThat(own(first, INES).state()).isEqualTo(ConnectionState.HOLD);
    assertThat(own(second, BRAM).state()).as("at once, for it is there").isNotNull();
    scene.answer(second, BRAM);
    assertThat(reason(new NetworkCommand.NetworkClears(phone(INES).line(), 1))).isNull();
    assertThat(scene.state(second)).isNull();
    assertThat(phone(INES)).isNull();
    assertThat(own(first, INES).attended()).isFalse();
    assertThat(reason(new CallCommand.MoveHere(first, INES, Scene.WINDOW))).isNull();
    assertThat(own(first, INES).attended()).isTrue();
  }

  @Test
  void a_line_that_fails_leaves_the_call_to_be_taken_at_another_device() {
    CallId call = talkingOutside();
    CallId line = phone(INES).line();
    assertThat(reason(new NetworkCommand.NetworkFails(line, 1, Cause.NETWORK_FAILURE))).isNull();
    assertThat(own(call, INES).attended()).isFalse();
    assertThat(Listening.of(scene.state(call), own(call, TOMASZ)).sound())
        .isEqualTo(Listening.Sound.MUSIC);
    scene.wait(31);
    assertThat(scene.state(call)).isNull();
  }

  @Test
  void a_call_moves_there_by_the_key_and_back_by_a_click_and_the_other_hears_no_gap() {
    CallId call = scene.call(INES, "221");
    scene.answer(call, TOMASZ);
    assertThat(reason(new CallCommand.MoveHere(call, INES, DeviceId.OUTSIDE))).isNull();
    answered(INES);
    assertThat(own(call, INES).device()).as("until the key").isEqualTo(Scene.WINDOW);
    press(INES, "1");
    assertThat(own(call, INES).device()).isEqualTo(DeviceId.OUTSIDE);
    scene.goes(INES);
    assertThat(own(call, INES).attended()).as("no window is needed").isTrue();
    scene.comes(INES);
    assertThat(reason(new CallCommand.MoveHere(call, INES, Scene.WINDOW))).isNull();
    assertThat(phone(INES)).isNull();
    scene.clear(call, INES);
    assertThat(scene.entries(call)).hasSize(2);
  }

  @Test
  void a_call_that_nobody_takes_there_stays_where_it_is_and_its_person_is_told() {
    CallId call = scene.call(INES, "221");
    scene.answer(call, TOMASZ);
    scene.run(new CallCommand.MoveHere(call, INES, DeviceId.OUTSIDE));
    answered(INES);
    scene.wait(16);
    assertThat(phone(INES)).isNull();
    assertThat(own(call, INES).device()).isEqualTo(Scene.WINDOW);
    assertThat(scene.state(call).conversation()).isTrue();
    assertThat(scene.notices).extracting(Notice::what).contains(Notice.What.PHONE_NOT_ANSWERED);
  }

  @Test
  void a_move_is_called_off_where_the_call_is() {
    CallId call = scene.call(INES, "221");
    scene.answer(call, TOMASZ);
    scene.run(new CallCommand.MoveHere(call, INES, DeviceId.OUTSIDE));
    assertThat(reason(new CallCommand.MoveHere(call, INES, Scene.WINDOW))).isNull();
    assertThat(phone(INES)).isNull();
    assertThat(scene.notices).isEmpty();
    scene.run(new CallCommand.MoveHere(call, INES, DeviceId.OUTSIDE));
    scene.clear(call, TOMASZ);
    assertThat(phone(INES)).as("the call is over").isNull();
  }

  @Test
  void as_long_as_it_rings_the_call_can_be_placed_from_here_or_given_up() {
    CallId call = place(INES, "221");
    assertThat(scene.exchange.offers(scene.state(call), INES).services())
        .isEqualTo(List.of(Service.MOVE_HERE, Service.CLEAR));
    assertThat(reason(new CallCommand.MoveHere(call, INES, Scene.WINDOW))).isNull();
    assertThat(phone(INES)).isNull();
    assertThat(own(call, TOMASZ).state()).isEqualTo(ConnectionState.ALERTING);
    scene.answer(call, TOMASZ);
    assertThat(Listening.of(scene.state(call), own(call, TOMASZ)).sound())
        .as("whoever has taken it is there")
        .isEqualTo(Listening.Sound.SPEECH);
    scene.clear(call, INES);
    CallId another = place(INES, "221");
    scene.clear(another, INES);
    assertThat(phone(INES)).isNull();
  }

  @Test
  void announcing_goes_over_the_line_that_is_there() {
    CallId call = talkingOutside();
    CallId announcing = scene.nextId();
    assertThat(
            reason(
                new SendCommand.Announce(
                    call,
                    INES,
                    announcing,
                    DeviceId.OUTSIDE,
                    scene.office.plan.interpret("213"),
                    null)))
        .isNull();
    scene.answer(announcing, BRAM);
    assertThat(phone(INES).speaksIn(scene.exchange.state()).id()).isEqualTo(announcing);
    assertThat(scene.exchange.state().outsideLinesTaken()).isEqualTo(1);
    assertThat(reason(new SendCommand.HandOver(call, INES, announcing))).isNull();
    assertThat(phone(INES)).isNull();
    assertThat(own(call, BRAM).state()).isEqualTo(ConnectionState.CONNECTED);
  }

  @Test
  void keys_pressed_there_are_sent_in_the_call() {
    CallId call = place(INES, "0151 496 0170");
    takes(INES);
    scene.run(new NetworkCommand.NetworkAnswers(call, 2));
    press(INES, "42#");
    assertThat(scene.records.of(call).digits()).isEqualTo("42#");
  }

  @Test
  void a_call_for_help_rings_nobody_first() {
    CallId call = place(INES, "999");
    assertThat(phone(INES)).isNull();
    assertThat(scene.state(call).connections()).hasSize(2);
    assertThat(own(call, INES).device()).isEqualTo(Scene.WINDOW);
  }

  @Test
  void what_cannot_be_is_refused_and_says_why() {
    assertThat(tryPlace(scene.nextId(), CELIA, "221")).isEqualTo(Reason.NO_OUTSIDE_PHONE);
    assertThat(tryPlace(scene.nextId(), INES, "07700 900201")).isEqualTo(Reason.OWN_NUMBER);
    CallId rings = scene.arrive(DOV, "+441914980201");
    assertThat(reason(new CallCommand.Answer(rings, INES, DeviceId.OUTSIDE)))
        .isEqualTo(Reason.PHONE_NOT_THERE);
    scene.answer(rings, INES);
    place(BRAM, "221");
    assertThat(tryPlace(scene.nextId(), TOMASZ, "213")).isEqualTo(Reason.NO_LINE_TO_PHONE);
    assertThat(reason(new CallCommand.MoveHere(rings, INES, DeviceId.OUTSIDE)))
        .isEqualTo(Reason.NO_LINE_TO_PHONE);
    assertThat(
            reason(new OfficeCommand.DeviceComes(INES, DeviceId.OUTSIDE, DeviceKind.WINDOW, true)))
        .isEqualTo(Reason.NO_SUCH_DEVICE);
  }
}
