package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static oficina.core.state.ConnectionState.ALERTING;
import static oficina.core.state.ConnectionState.CONNECTED;
import static org.assertj.core.api.Assertions.assertThat;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.events.ParkedCall;
import oficina.core.events.ReachEvent.SentOn;
import oficina.core.events.SentCall;
import oficina.core.heard.Listening;
import oficina.core.history.Part.Result;
import oficina.core.history.Segment;
import oficina.core.history.Segment.Kind;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import oficina.core.state.Call;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Dov has called Tomasz, who does not know where the colleague is that Dov wants. */
class ParkingTest {
  private final Scene scene = new Scene();
  private CallId dov;

  @BeforeEach
  void dov_talks_to_tomasz() {
    dov = scene.arrive(DOV, "+441914980221");
    scene.answer(dov, TOMASZ);
    scene.wait(10);
  }

  private Refusal park(CallId call, PersonId person, String slot) {
    return scene.run(new SendCommand.Park(call, person, slot, null, ""));
  }

  private Refusal take(PersonId person, String slot) {
    return scene.run(new SendCommand.TakeParked(null, person, Scene.WINDOW, slot, true));
  }

  @Test
  void waits_with_music_until_somebody_takes_it() {
    assertThat(scene.run(new SendCommand.Park(dov, TOMASZ, "62", ZOE, "wants the June rates")))
        .isNull();
    ParkedCall parking = scene.exchange.state().inSlot("62").parked();
    assertThat(parking.forWhom()).isEqualTo(ZOE);
    assertThat(parking.note()).isEqualTo("wants the June rates");
    assertThat(scene.state(dov, TOMASZ)).isNull();
    Call call = scene.state(dov);
    assertThat(Listening.of(call, call.leg(1)).sound()).isEqualTo(Listening.Sound.MUSIC);
    scene.wait(60);
    assertThat(take(ZOE, "62")).isNull();
    assertThat(scene.state(dov, ZOE)).isEqualTo(CONNECTED);
    assertThat(scene.exchange.state().inSlot("62")).isNull();
    scene.wait(20);
    scene.clear(dov, ZOE);
    assertThat(scene.course(dov))
        .extracting(Segment::kind)
        .containsExactly(Kind.TALKING, Kind.PARKED, Kind.TALKING);
    assertThat(scene.entry(dov, ZOE).talked()).hasSeconds(20);
  }

  @Test
  void the_next_free_slot_is_chosen_and_dialling_a_slot_takes_the_call() {
    assertThat(park(dov, TOMASZ, null)).isNull();
    CallId second = scene.call(BRAM, "221");
    scene.answer(second, TOMASZ);
    assertThat(park(second, TOMASZ, null)).isNull();
    assertThat(scene.exchange.state().inSlot("62").id()).isEqualTo(second);
    CallId third = scene.call(INES, "221");
    scene.answer(third, TOMASZ);
    assertThat(park(third, TOMASZ, null).reason()).isEqualTo(Reason.SLOTS_FULL);
    assertThat(scene.state(third, TOMASZ)).isEqualTo(CONNECTED);
    assertThat(scene.tryCall(ADAEZE, "61")).isNull();
    assertThat(scene.state(dov, ADAEZE)).isEqualTo(CONNECTED);
  }

  @Test
  void two_want_the_same_slot_and_two_take_the_same_call() {
    CallId second = scene.call(BRAM, "222");
    scene.answer(second, ZOE);
    assertThat(park(dov, TOMASZ, "61")).isNull();
    assertThat(park(second, ZOE, "61")).isEqualTo(Refusal.ofSlot(Reason.SLOT_TAKEN, "61"));
    assertThat(scene.state(second).conversation()).as("nobody is dropped").isTrue();
    scene.run(new SendCommand.TakeParked(dov, ADAEZE, Scene.WINDOW, "61", true));
    assertThat(scene.run(new SendCommand.TakeParked(dov, INES, Scene.WINDOW, "61", true)))
        .isEqualTo(Refusal.answeredBy(ADAEZE));
    assertThat(take(INES, "61").reason()).isEqualTo(Reason.SLOT_EMPTY);
    assertThat(take(INES, "69").reason()).isEqualTo(Reason.NO_SUCH_SLOT);
    assertThat(scene.state(dov, ADAEZE)).isEqualTo(CONNECTED);
  }

  @Test
  void comes_back_to_its_parker_keeping_the_slot_until_answered() {
    park(dov, TOMASZ, "61");
    scene.wait(180);
    assertThat(scene.state(dov, TOMASZ)).isEqualTo(ALERTING);
    assertThat(scene.state(dov).sent())
        .isEqualTo(
            new SentCall(TOMASZ, new Party.Slot("61"), Way.Reason.BACK, Cause.PARKED_TOO_LONG));
    assertThat(scene.exchange.state().inSlot("61")).isNotNull();
    scene.answer(dov, TOMASZ);
    assertThat(scene.exchange.state().inSlot("61")).isNull();
    assertThat(scene.state(dov).conversation()).isTrue();
  }

  @Test
  void nobody_takes_it_back_so_it_rings_the_front_desk_and_then_waits_again() {
    park(dov, TOMASZ, "61");
    scene.wait(200);
    assertThat(scene.state(dov).sent().reason()).isEqualTo(Way.Reason.FRONT_DESK);
    assertThat(scene.state(dov, INES)).isEqualTo(ALERTING);
    scene.wait(30);
    assertThat(scene.state(dov).waitsInSlot()).isTrue();
    scene.wait(180);
    assertThat(scene.state(dov, TOMASZ)).as("rings at the parker again").isEqualTo(ALERTING);
    scene.wait(3 * 230);
    assertThat(scene.state(dov)).as("and not for ever").isNull();
    assertThat(scene.events)
        .filteredOn(e -> e instanceof SentOn sent && sent.sent().reason() == Way.Reason.BACK)
        .hasSize(3);
    assertThat(scene.entry(dov, INES).result()).isEqualTo(Result.MISSED);
  }

  @Test
  void the_caller_gives_up_and_the_slot_is_free() {
    park(dov, TOMASZ, "61");
    scene.wait(25);
    scene.run(new NetworkCommand.NetworkClears(dov, 1));
    assertThat(scene.exchange.state().inSlot("61")).isNull();
    assertThat(scene.state(dov)).isNull();
    assertThat(scene.course(dov)).last().extracting(Segment::kind).isEqualTo(Kind.PARKED);
  }

  @Test
  void a_slot_can_be_dialled_as_a_target_but_not_for_a_ringing_call() {
    CallId ringing = scene.call(BRAM, "222");
    Command deflect =
        new SendCommand.Deflect(ringing, ZOE, scene.office.plan.interpret("61"), null);
    assertThat(scene.run(deflect).reason()).isEqualTo(Reason.NOT_TO_A_SLOT);
    Command put =
        new SendCommand.PutThrough(dov, TOMASZ, scene.office.plan.interpret("61"), null, null);
    assertThat(scene.run(put)).isNull();
    assertThat(scene.exchange.state().inSlot("61").id()).isEqualTo(dov);
  }
}
