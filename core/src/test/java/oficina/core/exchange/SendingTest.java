package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MAIN_NUMBER;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static oficina.core.state.ConnectionState.ALERTING;
import static oficina.core.state.ConnectionState.CONNECTED;
import static oficina.core.state.ConnectionState.HOLD;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.heard.Listening;
import oficina.core.history.Part.Result;
import oficina.core.history.Segment;
import oficina.core.history.Segment.Kind;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import oficina.core.state.Call;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Dov has called Tomasz; now he is sent on, in every way and with every outcome. */
class SendingTest {
  private final Scene scene = new Scene();
  private CallId dov;

  @BeforeEach
  void dov_talks_to_tomasz() {
    dov = scene.arrive(DOV, "+441914980221");
    scene.answer(dov, TOMASZ);
    scene.wait(10);
  }

  private Reason putThrough(String to) {
    return reason(
        new SendCommand.PutThrough(dov, TOMASZ, scene.office.plan.interpret(to), null, null));
  }

  private CallId announce(String to) {
    CallId id = scene.nextId();
    assertThat(
            scene.run(
                new SendCommand.Announce(
                    dov, TOMASZ, id, Scene.WINDOW, scene.office.plan.interpret(to), null)))
        .isNull();
    return id;
  }

  private Reason reason(Command command) {
    Refusal refusal = scene.run(command);
    return refusal == null ? null : refusal.reason();
  }

  private Listening dovHears() {
    return Listening.of(scene.state(dov), scene.state(dov).leg(1));
  }

  private void decline(PersonId person) {
    assertThat(reason(new CallCommand.Decline(dov, person))).isNull();
  }

  @Test
  void put_through_and_answered() {
    assertThat(putThrough("222")).isNull();
    assertThat(scene.state(dov, TOMASZ)).isNull();
    assertThat(scene.state(dov).of(ZOE).sentBy()).isEqualTo(TOMASZ);
    scene.wait(4);
    scene.answer(dov, ZOE);
    scene.wait(20);
    scene.run(new NetworkCommand.NetworkClears(dov, 1));
    assertThat(scene.entry(dov, ZOE).result()).isEqualTo(Result.ANSWERED);
    assertThat(scene.course(dov))
        .extracting(Segment::kind)
        .containsExactly(Kind.TALKING, Kind.RINGING, Kind.TALKING);
  }

  @Test
  void nobody_takes_it_there_so_it_comes_back_and_then_goes_to_the_front_desk() {
    putThrough("222");
    scene.wait(20);
    assertThat(scene.state(dov).sent().reason()).isEqualTo(Way.Reason.BACK);
    assertThat(scene.state(dov).sent().why()).isEqualTo(Cause.NO_ANSWER);
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(ALERTING);
    assertThat(scene.entry(dov, ZOE).result()).isEqualTo(Result.MISSED);
    scene.wait(20);
    assertThat(scene.state(dov).sent().reason()).isEqualTo(Way.Reason.FRONT_DESK);
    assertThat(scene.state(dov, INES)).isEqualTo(ALERTING);
    scene.wait(30);
    assertThat(scene.state(dov).mailbox().party()).as("at last").isEqualTo(MailboxTest.ZOES);
  }

  @Test
  void nobody_takes_it_anywhere_and_no_message_can_be_left() {
    putThrough("213");
    scene.wait(20 + 20 + 30);
    assertThat(scene.state(dov).failure().cause()).isEqualTo(Cause.NO_ANSWER);
    scene.wait(20);
    assertThat(scene.state(dov)).isNull();
    assertThat(scene.entries(dov)).hasSize(4);
  }

  @Test
  void declined_there_and_taken_back() {
    putThrough("222");
    decline(ZOE);
    assertThat(scene.answer(dov, TOMASZ)).isNull();
    assertThat(scene.state(dov).sent()).isNull();
    assertThat(scene.state(dov).conversation()).isTrue();
    scene.clear(dov, TOMASZ);
    assertThat(scene.entry(dov, TOMASZ).result()).isEqualTo(Result.ANSWERED);
  }

  @Test
  void pulled_back_before_anybody_answers_and_not_afterwards() {
    putThrough("222");
    assertThat(reason(new SendCommand.PullBack(dov, INES, Scene.WINDOW)))
        .isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(reason(new SendCommand.PullBack(dov, TOMASZ, Scene.WINDOW))).isNull();
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(CONNECTED);
    assertThat(scene.state(dov, ZOE)).isNull();
    putThrough("222");
    assertThat(reason(new CallCommand.Hold(dov, TOMASZ))).isEqualTo(Reason.ALREADY_SENT);
    scene.answer(dov, ZOE);
    for (Command late :
        List.of(
            new SendCommand.PullBack(dov, TOMASZ, Scene.WINDOW),
            new SendCommand.PutThrough(
                dov, TOMASZ, scene.office.plan.interpret("201"), null, null))) {
      assertThat(scene.run(late)).isEqualTo(Refusal.answeredBy(ZOE));
    }
  }

  @Test
  void the_caller_gives_up_on_the_way() {
    putThrough("222");
    scene.run(new NetworkCommand.NetworkClears(dov, 1));
    assertThat(scene.state(dov)).isNull();
    assertThat(scene.exchange.state().sentOn(TOMASZ)).isEmpty();
  }

  @Test
  void refused_with_the_reason_and_the_caller_stays() {
    scene.goes(CELIA);
    CallId other = scene.call(BRAM, "212");
    scene.answer(other, ADAEZE);
    assertThat(putThrough("221")).isEqualTo(Reason.OWN_NUMBER);
    assertThat(putThrough("0151 496 0177")).isEqualTo(Reason.SAME_PARTY);
    assertThat(putThrough("214")).isEqualTo(Reason.TARGET_NOT_SIGNED_IN);
    assertThat(putThrough("213")).isEqualTo(Reason.TARGET_BUSY);
    assertThat(putThrough("299")).isEqualTo(Reason.NOT_CALLABLE);
    assertThat(putThrough("999")).isEqualTo(Reason.NOT_CALLABLE_FOR_OTHERS);
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(CONNECTED);
  }

  @Test
  void announced_and_handed_over() {
    CallId zoe = announce("222");
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(HOLD);
    assertThat(dovHears().sound()).isEqualTo(Listening.Sound.MUSIC);
    assertThat(scene.state(zoe).announces()).isEqualTo(dov);
    scene.wait(3);
    scene.answer(zoe, ZOE);
    scene.wait(15);
    assertThat(reason(new SendCommand.HandOver(dov, TOMASZ, zoe))).isNull();
    assertThat(scene.state(zoe)).isNull();
    assertThat(scene.state(dov, ZOE)).isEqualTo(CONNECTED);
    assertThat(dovHears().voices()).containsExactly(scene.state(dov).of(ZOE).leg());
    assertThat(scene.state(dov, TOMASZ)).isNull();
    scene.wait(30);
    scene.clear(dov, ZOE);
    assertThat(scene.state(dov)).isNull();
    assertThat(scene.entry(dov, ZOE).talked()).hasSeconds(30);
    assertThat(scene.entry(dov, ZOE).other()).isEqualTo(new Party.Outside(DOV));
    assertThat(scene.entry(dov, TOMASZ).held()).hasSeconds(18);
    assertThat(scene.entries(zoe)).extracting("person").containsExactly(TOMASZ);
  }

  @Test
  void handed_over_while_it_still_rings_and_back_when_nobody_answers() {
    CallId zoe = announce("222");
    assertThat(reason(new SendCommand.HandOver(dov, TOMASZ, zoe))).isNull();
    assertThat(scene.state(dov, ZOE)).isEqualTo(ALERTING);
    scene.wait(20);
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(ALERTING);
    assertThat(scene.state(dov).sent().reason()).isEqualTo(Way.Reason.BACK);
  }

  @Test
  void swapped_ten_times_and_back_to_the_caller() {
    CallId zoe = announce("222");
    scene.answer(zoe, ZOE);
    for (int i = 0; i < 5; i++) {
      assertThat(reason(new CallCommand.Retrieve(dov, TOMASZ))).isNull();
      assertThat(scene.state(zoe, TOMASZ)).isEqualTo(HOLD);
      assertThat(reason(new CallCommand.Retrieve(zoe, TOMASZ))).isNull();
      assertThat(scene.state(dov, TOMASZ)).isEqualTo(HOLD);
    }
    assertThat(reason(new SendCommand.Reconnect(zoe, TOMASZ))).isNull();
    assertThat(scene.state(zoe)).isNull();
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(CONNECTED);
  }

  @Test
  void all_three_talk_and_the_sender_leaves() {
    CallId zoe = announce("222");
    assertThat(reason(new ConferenceCommand.Join(dov, TOMASZ, zoe))).isEqualTo(Reason.NOT_ANSWERED);
    scene.answer(zoe, ZOE);
    assertThat(reason(new ConferenceCommand.Join(dov, TOMASZ, zoe))).isNull();
    assertThat(scene.state(dov).in(CONNECTED)).hasSize(3);
    assertThat(putThrough("212")).isEqualTo(Reason.MORE_THAN_TWO);
    scene.clear(dov, TOMASZ);
    assertThat(scene.state(dov).conversation()).isTrue();
    scene.clear(dov, ZOE);
    assertThat(scene.state(dov)).isNull();
  }

  @Test
  void the_target_declines_or_hangs_up_and_the_caller_is_still_there() {
    CallId zoe = announce("222");
    scene.run(new CallCommand.Decline(zoe, ZOE));
    assertThat(reason(new SendCommand.HandOver(dov, TOMASZ, zoe))).isEqualTo(Reason.NOBODY_THERE);
    scene.run(new SendCommand.Reconnect(zoe, TOMASZ));
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(CONNECTED);

    CallId again = announce("222");
    scene.answer(again, ZOE);
    scene.clear(again, ZOE);
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(HOLD);
  }

  @Test
  void the_target_sends_the_announcement_on_and_somebody_else_is_handed_the_caller() {
    CallId zoe = announce("222");
    Command deflect = new SendCommand.Deflect(zoe, ZOE, scene.office.plan.interpret("212"), null);
    assertThat(reason(deflect)).isNull();
    assertThat(scene.state(zoe, ADAEZE)).isEqualTo(ALERTING);
    assertThat(reason(new SendCommand.HandOver(dov, TOMASZ, zoe))).isEqualTo(Reason.NOT_ANSWERED);
    scene.answer(zoe, ADAEZE);
    assertThat(reason(new SendCommand.HandOver(dov, TOMASZ, zoe))).isNull();
    assertThat(dovHears().voices()).containsExactly(scene.state(dov).of(ADAEZE).leg());
  }

  @Test
  void the_caller_gives_up_during_the_announcement() {
    CallId zoe = announce("222");
    scene.answer(zoe, ZOE);
    scene.run(new NetworkCommand.NetworkClears(dov, 1));
    assertThat(reason(new SendCommand.HandOver(dov, TOMASZ, zoe))).isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(scene.state(zoe).conversation()).isTrue();
    scene.run(new SendCommand.Reconnect(zoe, TOMASZ));
    assertThat(scene.exchange.state().calls()).isEmpty();
  }

  @Test
  void a_caller_sent_to_an_outside_number_is_answered_there() {
    assertThat(putThrough("0113 496 0148")).isNull();
    int leg = scene.state(dov).nextLeg() - 1;
    scene.run(new NetworkCommand.NetworkRings(dov, leg));
    scene.run(new NetworkCommand.NetworkAnswers(dov, leg));
    assertThat(scene.state(dov).in(CONNECTED)).hasSize(2);
    scene.run(new NetworkCommand.NetworkClears(dov, leg));
    assertThat(scene.state(dov)).isNull();
  }

  private CallerId shownAtOutside(CallId call, Command command) {
    assertThat(reason(command)).isNull();
    Call now = scene.state(call);
    return now.shownTo(now.leg(now.nextLeg() - 1));
  }

  @Test
  void an_outside_target_is_shown_the_senders_number_as_chosen() {
    Dialled marisol = scene.office.plan.interpret("0113 496 0148");
    PhoneNumber direct = new PhoneNumber("+441914980221");
    assertThat(
            shownAtOutside(dov, new SendCommand.PutThrough(dov, TOMASZ, marisol, null, null))
                .number())
        .as("what Tomasz has chosen for all")
        .isEqualTo(MAIN_NUMBER);
    assertThat(reason(new SendCommand.PullBack(dov, TOMASZ, Scene.WINDOW))).isNull();
    Command put = new SendCommand.PutThrough(dov, TOMASZ, marisol, CallerIdChoice.DIRECT, null);
    assertThat(shownAtOutside(dov, put).number()).isEqualTo(direct);
    scene.run(new NetworkCommand.NetworkClears(dov, 1)); // its lines are wanted
    CallId inside = scene.call(BRAM, "214");
    Command deflect = new SendCommand.Deflect(inside, CELIA, marisol, CallerIdChoice.WITHHELD);
    assertThat(shownAtOutside(inside, deflect)).isEqualTo(CallerId.WITHHELD);
  }

  @Test
  void who_calls_for_help_is_never_withheld() {
    CallId help = scene.nextId();
    Dialled emergency = scene.office.plan.interpret("999");
    scene.run(
        new CallCommand.MakeCall(help, ZOE, Scene.WINDOW, emergency, CallerIdChoice.WITHHELD));
    assertThat(scene.state(help).callerId().number()).isEqualTo(new PhoneNumber("+441914980222"));
  }

  @Test
  void of_a_group_one_sends_the_call_on_and_it_goes_on_ringing_at_the_others() {
    CallId group = scene.arrive(MARISOL, "+441914980100");
    Dialled zoe = scene.office.plan.interpret("222");
    assertThat(reason(new SendCommand.Deflect(group, INES, zoe, null))).isNull();
    assertThat(scene.state(group, ADAEZE)).isEqualTo(ALERTING);
    assertThat(scene.state(group, ZOE)).isEqualTo(ALERTING);
    assertThat(scene.state(group, INES)).isNull();
    scene.answer(group, ADAEZE);
    scene.clear(group, ADAEZE);
    assertThat(scene.entry(group, INES).result()).isEqualTo(Result.SENT_ON);
    assertThat(scene.entry(group, ZOE).result()).isEqualTo(Result.ANSWERED_ELSEWHERE);
  }

  @Test
  void who_sent_a_call_on_and_missed_it_when_it_came_back_has_missed_it() {
    CallId own = scene.arrive(MARISOL, "+441914980214");
    Dialled zoe = scene.office.plan.interpret("222");
    assertThat(reason(new SendCommand.Deflect(own, CELIA, zoe, null))).isNull();
    scene.run(new CallCommand.Decline(own, ZOE));
    assertThat(scene.state(own, CELIA)).isEqualTo(ALERTING);
    scene.wait(200);
    assertThat(scene.entry(own, CELIA).result()).isEqualTo(Result.MISSED);
  }

  @Test
  void it_is_quiet_until_it_rings_somewhere() {
    assertThat(putThrough("0113 496 0148")).isNull();
    assertThat(dovHears().sound()).isEqualTo(Listening.Sound.SILENCE);
    scene.run(new NetworkCommand.NetworkRings(dov, scene.state(dov).nextLeg() - 1));
    assertThat(dovHears().sound()).isEqualTo(Listening.Sound.RINGING);
  }

  @Test
  void a_ringing_call_is_deflected_or_taken_by_a_colleague() {
    CallId marisol = scene.call(BRAM, "214");
    assertThat(
            reason(
                new SendCommand.Deflect(marisol, CELIA, scene.office.plan.interpret("222"), null)))
        .isNull();
    assertThat(scene.state(marisol, ZOE)).isEqualTo(ALERTING);
    assertThat(reason(new CallCommand.PickUp(ADAEZE, Scene.WINDOW, ZOE))).isNull();
    assertThat(scene.state(marisol, ADAEZE)).isEqualTo(CONNECTED);
    assertThat(scene.entry(marisol, ZOE).result()).isEqualTo(Result.ANSWERED_ELSEWHERE);
    assertThat(scene.entry(marisol, ZOE).answeredBy()).isEqualTo(ADAEZE);
    Command late = new CallCommand.PickUp(INES, Scene.WINDOW, ZOE);
    assertThat(scene.run(late)).isEqualTo(Refusal.answeredBy(ADAEZE));
    scene.wait(10);
    assertThat(reason(late)).isEqualTo(Reason.NOTHING_RINGS);
  }

  @Test
  void who_holds_too_long_is_reminded_once() {
    scene.run(new CallCommand.Hold(dov, TOMASZ));
    scene.wait(119);
    assertThat(scene.state(dov).of(TOMASZ).reminded()).isFalse();
    scene.wait(1);
    assertThat(scene.state(dov).of(TOMASZ).reminded()).isTrue();
    assertThat(scene.exchange.nextDue()).isNull();
  }

  @Test
  void muting_is_not_holding() {
    scene.run(new CallCommand.Mute(dov, TOMASZ, true));
    assertThat(scene.state(dov).of(TOMASZ).muted()).isTrue();
    assertThat(dovHears().sound()).isEqualTo(Listening.Sound.SILENCE);
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(CONNECTED);
    scene.run(new CallCommand.Mute(dov, TOMASZ, false));
    assertThat(scene.state(dov).of(TOMASZ).muted()).isFalse();
  }
}
