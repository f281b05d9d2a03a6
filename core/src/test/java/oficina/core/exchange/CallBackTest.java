package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.CELIA;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.state.ConnectionState.ALERTING;
import static oficina.core.state.ConnectionState.CONNECTED;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.history.Part.Result;
import oficina.core.people.PersonId;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Bram takes one call at a time and is on one with Adaeze; Ines wants him when he is free. */
class CallBackTest {
  private static final CallId WISH = new CallId("wish");
  private static final CallId FIRST = new CallId("wish-1");
  private static final CallId SECOND = new CallId("wish-2");

  private final Scene scene = new Scene();
  private CallId brams;

  @BeforeEach
  void bram_is_busy() {
    brams = scene.call(ADAEZE, "213");
    scene.answer(brams, BRAM);
  }

  private void ask() {
    assertThat(ask(scene.call(INES, "213"), INES, WISH)).isNull();
  }

  private Reason ask(CallId failed, PersonId person, CallId wish) {
    Refusal refusal = scene.run(new SendCommand.RequestCallBack(failed, person, wish));
    return refusal == null ? null : refusal.reason();
  }

  @Test
  void rings_at_whoever_asked_and_then_at_the_colleague() {
    ask();
    assertThat(scene.exchange.state().inHand(INES)).isEmpty();
    scene.clear(brams, BRAM);
    assertThat(scene.state(FIRST, INES)).isEqualTo(ALERTING);
    assertThat(scene.state(FIRST, BRAM)).isNull();
    assertThat(scene.answer(FIRST, INES)).isNull();
    assertThat(scene.state(FIRST, BRAM)).isEqualTo(ALERTING);
    assertThat(scene.exchange.state().callBacks()).isEmpty();
    scene.wait(3);
    scene.answer(FIRST, BRAM);
    scene.wait(30);
    scene.clear(FIRST, BRAM);
    assertThat(scene.entry(FIRST, INES).talked()).hasSeconds(30);
    assertThat(scene.entry(FIRST, BRAM).result()).isEqualTo(Result.ANSWERED);
  }

  @Test
  void outlives_both_being_busy_again() {
    ask();
    CallId inesBusy = scene.call(TOMASZ, "201");
    scene.answer(inesBusy, INES);
    scene.clear(brams, BRAM);
    assertThat(scene.state(FIRST)).as("Ines is not free").isNull();
    scene.clear(inesBusy, INES);
    assertThat(scene.state(FIRST, INES)).isEqualTo(ALERTING);
    CallId again = scene.call(ADAEZE, "213");
    scene.answer(FIRST, INES);
    assertThat(scene.state(FIRST)).as("Bram is busy once more").isNull();
    scene.answer(again, BRAM);
    scene.clear(again, BRAM);
    assertThat(scene.state(SECOND, INES)).isEqualTo(ALERTING);
    scene.answer(SECOND, INES);
    assertThat(scene.state(SECOND, BRAM)).isEqualTo(ALERTING);
  }

  @Test
  void after_no_answer_the_colleague_must_have_used_their_telephone_first() {
    CallId unanswered = scene.call(INES, "221");
    scene.wait(20);
    ask(unanswered, INES, WISH);
    assertThat(scene.state(FIRST)).as("free, but not there").isNull();
    CallId theirs = scene.call(TOMASZ, "214");
    scene.answer(theirs, CELIA);
    scene.clear(theirs, TOMASZ);
    assertThat(scene.state(FIRST, INES)).isEqualTo(ALERTING);
  }

  @Test
  void after_not_signed_in_it_waits_until_the_colleague_comes() {
    scene.goes(CELIA);
    ask(scene.call(INES, "214"), INES, WISH);
    assertThat(scene.state(FIRST)).isNull();
    scene.comes(CELIA);
    scene.run(new OfficeCommand.Tick());
    assertThat(scene.state(FIRST, INES)).isEqualTo(ALERTING);
  }

  @Test
  void ends_after_an_hour_or_when_cancelled_or_not_answered() {
    ask();
    scene.wait(3600);
    assertThat(scene.exchange.state().callBacks()).isEmpty();
    ask();
    assertThat(scene.run(new SendCommand.CancelCallBack(WISH, ADAEZE)).reason())
        .isEqualTo(Reason.NO_SUCH_CALL_BACK);
    assertThat(scene.run(new SendCommand.CancelCallBack(WISH, INES))).isNull();
    assertThat(scene.exchange.state().callBacks()).isEmpty();
    ask();
    scene.clear(brams, BRAM);
    scene.wait(20);
    assertThat(scene.exchange.state().callBacks()).isEmpty();
    assertThat(scene.exchange.state().calls()).isEmpty();
  }

  @Test
  void makes_sense_only_after_a_failed_call_to_a_colleague_and_once() {
    assertThat(ask(brams, ADAEZE, WISH)).isEqualTo(Reason.NOT_FAILED);
    ask();
    CallId again = scene.call(INES, "213");
    assertThat(ask(again, INES, new CallId("w2"))).isEqualTo(Reason.CALL_BACK_EXISTS);
    assertThat(scene.state(again, INES)).isEqualTo(CONNECTED);
  }

  @Test
  void two_wait_for_the_same_colleague_and_come_one_after_the_other() {
    ask();
    CallId failed = scene.call(TOMASZ, "213");
    ask(failed, TOMASZ, new CallId("later"));
    scene.clear(brams, BRAM);
    assertThat(scene.exchange.state().inHand(TOMASZ)).isEmpty();
    scene.run(new CallCommand.Decline(FIRST, INES));
    assertThat(scene.state(new CallId("later-1"), TOMASZ)).isEqualTo(ALERTING);
  }

  @Test
  void nobody_else_can_take_or_send_on_what_rings_for_whoever_asked() {
    ask();
    scene.clear(brams, BRAM);
    assertThat(scene.run(new CallCommand.PickUp(TOMASZ, Scene.WINDOW, INES)).reason())
        .isEqualTo(Reason.NOTHING_RINGS);
  }
}
