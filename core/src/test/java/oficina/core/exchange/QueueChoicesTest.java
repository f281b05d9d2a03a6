package oficina.core.exchange;

import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.history.Part;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.queueing.Queue.Order;
import oficina.core.rules.Destination;
import oficina.core.rules.Situation;
import oficina.core.seen.Standpoint;
import org.junit.jupiter.api.Test;

/** What whoever waits at a line can have by a key. */
class QueueChoicesTest extends FreightQueue {
  private Refusal chooses(CallId call, MachineCommand.Choice choice) {
    return scene.run(
        new MachineCommand.WaiterChooses(call, scene.state(call).standIn().leg(), choice));
  }

  @Test
  void whoever_keeps_their_place_is_called_in_their_turn() {
    bothBusy();
    CallId kept = scene.arrive(DOV, LINE);
    scene.wait(60);
    CallId later = scene.arrive(MARISOL, LINE);
    assertThat(chooses(kept, MachineCommand.Choice.KEEP)).isNull();
    assertThat(scene.state(kept).leg(1)).as("they have hung up").isNull();
    assertThat(waiting()).containsExactly(kept, later);
    free(ZOE);
    assertThat(rings(kept)).isEqualTo(ZOE);
    scene.answer(kept, ZOE);
    int called = scene.state(kept).nextLeg() - 1;
    assertThat(scene.state(kept).leg(called).party()).isEqualTo(new Party.Outside(DOV));
    scene.run(new NetworkCommand.NetworkRings(kept, called));
    assertThat(Standpoint.of(scene.state(kept), ZOE).phase()).isEqualTo(Standpoint.Phase.CALLING);
    scene.run(new NetworkCommand.NetworkAnswers(kept, called));
    assertThat(scene.state(kept).conversation()).isTrue();
    scene.clear(kept, ZOE);
    assertThat(scene.state(kept)).isNull();
    assertThat(scene.entry(kept, ZOE).result()).isEqualTo(Part.Result.ANSWERED);
  }

  @Test
  void not_reached_they_are_tried_once_more_and_are_then_to_be_called_back() {
    bothBusy();
    CallId kept = scene.arrive(DOV, LINE);
    chooses(kept, MachineCommand.Choice.KEEP);
    free(ZOE);
    scene.answer(kept, ZOE);
    notAnswered(kept);
    assertThat(scene.state(kept).of(ZOE)).isNull();
    scene.wait(299);
    assertThat(rings(kept)).as("five minutes later").isNull();
    scene.wait(1);
    assertThat(rings(kept)).isEqualTo(ZOE);
    scene.answer(kept, ZOE);
    notAnswered(kept);
    assertThat(scene.state(kept)).isNull();
    assertThat(scene.entry(kept, TOMASZ).result()).isEqualTo(Part.Result.MISSED);
  }

  private void notAnswered(CallId call) {
    scene.run(
        new NetworkCommand.NetworkFails(call, scene.state(call).nextLeg() - 1, Cause.NO_ANSWER));
  }

  @Test
  void whoever_calls_again_themselves_waits_on_where_they_were() {
    bothBusy();
    CallId kept = scene.arrive(DOV, LINE);
    chooses(kept, MachineCommand.Choice.KEEP);
    scene.wait(60);
    CallId later = scene.arrive(MARISOL, LINE);
    scene.wait(60);
    CallId again = scene.arrive(DOV, LINE);
    assertThat(waiting()).containsExactly(again, later);
    assertThat(scene.state(kept)).isNull();
    assertThat(scene.entries(kept)).as("nobody has missed them").isEmpty();
  }

  @Test
  void nobody_is_rung_to_call_back_whom_no_line_is_left_for_and_that_is_no_try() {
    bothBusy();
    CallId kept = scene.arrive(DOV, LINE);
    chooses(kept, MachineCommand.Choice.KEEP);
    scene.arrive(MARISOL, "+441914980201");
    CallId other = scene.arrive(THIRD, "+441914980201");
    free(ZOE);
    assertThat(rings(kept)).as("both lines are taken").isNull();
    scene.run(new NetworkCommand.NetworkClears(other, 1));
    assertThat(rings(kept)).isEqualTo(ZOE);
    scene.arrive(THIRD, "+441914980201");
    scene.answer(kept, ZOE);
    assertThat(scene.state(kept).of(ZOE)).isNull();
    assertThat(scene.state(kept).place().kept().tries()).isZero();
    assertThat(waiting()).containsExactly(kept);
  }

  @Test
  void a_key_while_it_rings_is_not_held_against_the_member() {
    CallId call = scene.arrive(DOV, LINE);
    PersonId rung = rings(call);
    chooses(call, MachineCommand.Choice.MESSAGE);
    assertThat(scene.exchange.state().queues().member(rung).missed()).isZero();
  }

  @Test
  void a_number_is_asked_for_before_it_rings_and_goes_with_the_call_through_every_hand() {
    Queue.Told asks = new Queue.Told(false, false, null, new Queue.Question("booking", 6));
    keeps(FREIGHT, queue(Order.LONGEST_IDLE, List.of(), List.of(), asks));
    CallId call = scene.arrive(DOV, LINE);
    CallId silent = scene.arrive(MARISOL, LINE);
    assertThat(Standpoint.whole(scene.state(call))).isEqualTo(Standpoint.Whole.WELCOMED);
    assertThat(waiting()).as("they do not wait yet, nor does it ring").isEmpty();
    assertThat(chooses(call, MachineCommand.Choice.KEEP)).isNotNull();
    scene.wait(10);
    assertThat(gives(call, "471100")).isNull();
    assertThat(rings(call)).isNotNull();
    assertThat(gives(call, "1")).as("once").isNotNull();
    scene.wait(50);
    assertThat(rings(silent)).as("who gives none is rung for after a minute").isNotNull();

    PersonId first = rings(call);
    scene.answer(call, first);
    scene.run(new SendCommand.Park(call, first, "61", null, ""));
    scene.run(new SendCommand.TakeParked(call, INES, Scene.WINDOW, "61", true));
    assertThat(scene.state(call).place().given()).isEqualTo("471100");
    bothBusy();
    scene.run(
        new SendCommand.PutThrough(call, INES, scene.office.plan.interpret("220"), null, null));
    assertThat(scene.state(call).place().isAsked()).as("asked once").isFalse();
    assertThat(scene.state(call).place().given()).isEqualTo("471100");
  }

  private Refusal gives(CallId call, String digits) {
    return scene.run(
        new MachineCommand.CallerGives(call, scene.state(call).standIn().leg(), digits));
  }

  @Test
  void whoever_waits_leaves_a_message_or_goes_elsewhere_by_a_key() {
    rule(Situation.NO_ANSWER, Destination.to(new Party.Employee(INES)));
    bothBusy();
    CallId message = scene.arrive(DOV, LINE);
    assertThat(chooses(message, MachineCommand.Choice.MESSAGE)).isNull();
    assertThat(scene.state(message).mailbox().party().mailboxOf()).isEqualTo(LINE_PARTY);
    CallId elsewhere = scene.arrive(MARISOL, LINE);
    assertThat(chooses(elsewhere, MachineCommand.Choice.ELSEWHERE)).isNull();
    assertThat(rings(elsewhere)).isEqualTo(INES);
    scene.run(new NetworkCommand.NetworkClears(elsewhere, 1));
    CallId withheld = scene.arrive(null, LINE);
    assertThat(chooses(withheld, MachineCommand.Choice.KEEP).reason())
        .isEqualTo(Reason.NOBODY_THERE);
  }
}
