package oficina.core.notices;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.exchange.Scene;
import oficina.core.notices.Notice.What;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Tomasz talks to Dov; what becomes of Dov, Tomasz is told. */
class NoticesTest {
  private static final Party CALLER = new Party.Outside(DOV);

  private final Scene scene = new Scene();
  private CallId dov;

  @BeforeEach
  void dov_talks_to_tomasz() {
    dov = scene.arrive(DOV, "+441914980221");
    scene.answer(dov, TOMASZ);
  }

  private void putThrough() {
    scene.run(
        new SendCommand.PutThrough(dov, TOMASZ, scene.office.plan.interpret("222"), null, null));
  }

  private void hangsUp() {
    scene.run(new NetworkCommand.NetworkClears(dov, 1));
  }

  @Test
  void whoever_speaks_with_or_holds_somebody_is_told_that_the_line_failed() {
    scene.run(new CallCommand.Hold(dov, TOMASZ));
    scene.wait(7);
    scene.run(new NetworkCommand.NetworkFails(dov, 1, Cause.NETWORK_FAILURE));
    assertThat(scene.notices)
        .containsExactly(new Notice(TOMASZ, What.CUT_OFF, CALLER, null, null, null).in(dov));
  }

  @Test
  void a_sender_is_told_who_answered_outside() {
    scene.run(
        new SendCommand.PutThrough(
            dov, TOMASZ, scene.office.plan.interpret("0113 496 0148"), null, null));
    scene.run(new NetworkCommand.NetworkAnswers(dov, scene.state(dov).nextLeg() - 1));
    Party marisol = new Party.Outside(MARISOL);
    assertThat(scene.notices)
        .containsExactly(
            new Notice(TOMASZ, What.SENT_ANSWERED, CALLER, marisol, null, null).in(dov));
  }

  @Test
  void a_held_caller_gives_up() {
    scene.run(new CallCommand.Hold(dov, TOMASZ));
    scene.wait(67);
    hangsUp();
    assertThat(scene.notices)
        .containsExactly(
            new Notice(TOMASZ, What.HELD_GAVE_UP, CALLER, null, null, Duration.ofSeconds(67))
                .in(dov));
  }

  @Test
  void ending_a_held_call_oneself_is_no_news() {
    scene.run(new CallCommand.Hold(dov, TOMASZ));
    scene.clear(dov, TOMASZ);
    assertThat(scene.notices).isEmpty();
  }

  @Test
  void a_caller_who_was_sent_on_is_answered_gives_up_or_is_lost() {
    putThrough();
    scene.answer(dov, ZOE);
    assertThat(scene.notices)
        .containsExactly(
            new Notice(TOMASZ, What.SENT_ANSWERED, CALLER, new Party.Employee(ZOE), null, null)
                .in(dov));
    scene.notices.clear();
    scene.run(new SendCommand.PutThrough(dov, ZOE, scene.office.plan.interpret("213"), null, null));
    scene.wait(20 + 20 + 30);
    assertThat(scene.notices).extracting(Notice::what).containsExactly(What.SENT_LOST);
  }

  @Test
  void a_caller_gives_up_on_the_way() {
    putThrough();
    hangsUp();
    assertThat(scene.notices)
        .containsExactly(new Notice(TOMASZ, What.SENT_GAVE_UP, CALLER, null, null, null).in(dov));
  }

  @Test
  void a_parked_caller_is_announced_taken_or_gives_up() {
    scene.run(new SendCommand.Park(dov, TOMASZ, "61", ZOE, ""));
    scene.run(new SendCommand.TakeParked(dov, ADAEZE, Scene.WINDOW, "61", true));
    assertThat(scene.notices)
        .containsExactly(
            new Notice(ZOE, What.PARKED_FOR_YOU, CALLER, new Party.Employee(TOMASZ), "61", null)
                .in(dov),
            new Notice(TOMASZ, What.PARKED_TAKEN, CALLER, new Party.Employee(ADAEZE), "61", null)
                .in(dov));
    scene.notices.clear();
    scene.run(new SendCommand.Park(dov, ADAEZE, "62", null, ""));
    scene.wait(50);
    hangsUp();
    assertThat(scene.notices)
        .containsExactly(
            new Notice(ADAEZE, What.PARKED_GAVE_UP, CALLER, null, "62", Duration.ofSeconds(50))
                .in(dov));
  }

  private void joinsInes() {
    CallId second = scene.call(INES, "221");
    scene.answer(second, TOMASZ);
    scene.run(new ConferenceCommand.Join(dov, TOMASZ, second));
  }

  @Test
  void whoever_leaves_a_conference_is_told_who_is_with_whom_and_whoever_ends_it_is_not() {
    joinsInes();
    scene.run(new CallCommand.Clear(dov, TOMASZ));
    Party ines = new Party.Employee(INES);
    assertThat(scene.notices)
        .containsExactlyInAnyOrder(
            new Notice(TOMASZ, What.STAYS_IN_CONFERENCE, CALLER, ines, null, null).in(dov),
            new Notice(TOMASZ, What.STAYS_IN_CONFERENCE, ines, CALLER, null, null).in(dov));
    scene.notices.clear();
    hangsUp();
    dov_talks_to_tomasz();
    joinsInes();
    scene.run(new ConferenceCommand.EndForAll(dov, TOMASZ));
    assertThat(scene.notices).isEmpty();
  }

  @Test
  void a_member_is_dropped_and_waiting_for_a_colleague_ends() {
    joinsInes();
    scene.run(new ConferenceCommand.Drop(dov, TOMASZ, scene.state(dov).of(INES).leg()));
    assertThat(scene.notices).extracting(Notice::to).containsExactly(INES);
    CallId wish = new CallId("wish");
    scene.answer(scene.call(ADAEZE, "213"), BRAM);
    scene.run(new SendCommand.RequestCallBack(scene.call(INES, "213"), INES, wish));
    scene.wait(3600);
    assertThat(scene.notices)
        .last()
        .isEqualTo(
            new Notice(INES, What.CALL_BACK_EXPIRED, new Party.Employee(BRAM), null, null, null)
                .in(wish));
  }
}
