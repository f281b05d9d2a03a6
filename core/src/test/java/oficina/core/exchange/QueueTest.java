package oficina.core.exchange;

import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.FRONT_DESK;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal.Reason;
import oficina.core.heard.Listening;
import oficina.core.history.Part;
import oficina.core.history.Segment;
import oficina.core.notices.Notice;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.queueing.Lately;
import oficina.core.queueing.Queue;
import oficina.core.queueing.Queue.Order;
import oficina.core.queueing.Queue.Preference;
import oficina.core.queueing.Queue.Why;
import oficina.core.rules.Destination;
import oficina.core.rules.Situation;
import oficina.core.seen.Standpoint;
import oficina.core.state.Call;
import oficina.core.state.ConnectionState;
import org.junit.jupiter.api.Test;

/** Whoever finds nobody free at a line waits there, and is served in turn. */
class QueueTest extends FreightQueue {
  @Test
  void whoever_finds_nobody_free_waits_and_hears_music_until_somebody_is() {
    bothBusy();
    CallId call = scene.arrive(DOV, LINE);
    Call waits = scene.state(call);
    assertThat(waits.waits()).isTrue();
    assertThat(waits.answered()).isNull();
    assertThat(Listening.of(waits, waits.leg(1)).voices()).containsExactly(waits.standIn().leg());
    scene.wait(95);
    free(ZOE);
    assertThat(rings(call)).isEqualTo(ZOE);
    assertThat(scene.state(call).standIn()).as("the music plays on").isNotNull();
    scene.wait(5);
    scene.answer(call, ZOE);
    assertThat(scene.state(call).connections()).hasSize(2);
    assertThat(scene.state(call).place().left()).isEqualTo(scene.now());
    scene.clear(call, ZOE);
    assertThat(scene.course(call))
        .extracting(Segment::kind)
        .containsExactly(Segment.Kind.WAITING, Segment.Kind.RINGING);
    assertThat(scene.course(call).get(0).lasted(scene.now())).isEqualTo(Duration.ofSeconds(95));
    assertThat(scene.entry(call, ZOE).line()).isEqualTo(LINE_PARTY);
  }

  @Test
  void first_come_first_served_and_a_line_that_is_full_is_busy() {
    bothBusy();
    CallId first = scene.arrive(DOV, LINE);
    scene.wait(1);
    CallId second = scene.call(INES, "220");
    assertThat(Standpoint.of(scene.state(second), INES).phase()).isEqualTo(Standpoint.Phase.QUEUED);
    free(TOMASZ);
    assertThat(rings(first)).isEqualTo(TOMASZ);
    assertThat(rings(second)).isNull();
    free(ZOE);
    assertThat(rings(second)).isEqualTo(ZOE);

    keeps(FREIGHT, small());
    CallId third = scene.arrive(MARISOL, LINE);
    assertThat(scene.state(third).mailbox()).as("as at a line that is busy").isNotNull();
  }

  private static Queue small() {
    Queue usual = queue(Order.ALL, List.of(), List.of());
    return new Queue(
        usual.order(),
        usual.levels(),
        usual.longestWait(),
        1,
        usual.finishing(),
        usual.preferences(),
        usual.leads(),
        usual.told(),
        usual.choices(),
        usual.target(),
        Queue.Shown.NOTHING);
  }

  @Test
  void whom_it_rings_is_chosen_for_each_line() {
    keeps(FREIGHT, queue(Order.ALL, List.of(), List.of()));
    CallId all = scene.arrive(DOV, LINE);
    assertThat(scene.state(all, TOMASZ)).isEqualTo(ConnectionState.ALERTING);
    assertThat(scene.state(all, ZOE)).isEqualTo(ConnectionState.ALERTING);
    scene.answer(all, ZOE);
    assertThat(scene.state(all).of(TOMASZ)).isNull();
    scene.clear(all, ZOE);
    scene.wait(21); // no longer finishing

    keeps(FREIGHT, queue(Order.LONGEST_IDLE, List.of(), List.of()));
    assertThat(served(DOV)).isEqualTo(TOMASZ);
    assertThat(served(DOV)).as("her last call was longer ago").isEqualTo(ZOE);
    keeps(FREIGHT, queue(Order.IN_TURN, List.of(), List.of()));
    assertThat(served(DOV)).isEqualTo(TOMASZ);
    assertThat(served(DOV)).isEqualTo(ZOE);
    keeps(FREIGHT, queue(Order.FEWEST, List.of(), List.of()));
    assertThat(served(DOV)).as("two calls against three").isEqualTo(TOMASZ);
    scene.wait(24 * 3600);
    assertThat(served(DOV)).as("yesterday does not count").isEqualTo(ZOE);
  }

  /** Who is rung for a caller, and takes the call. */
  private PersonId served(PhoneNumber from) {
    CallId call = scene.arrive(from, LINE);
    PersonId member = rings(call);
    scene.answer(call, member);
    scene.wait(3);
    scene.clear(call, member);
    scene.wait(30);
    return member;
  }

  @Test
  void some_are_asked_only_when_the_caller_has_waited_for_so_long() {
    keeps(
        FREIGHT,
        queue(Order.LEVELS, List.of(new Queue.Level(ZOE, Duration.ofSeconds(40))), List.of()));
    scene.answer(scene.call(TOMASZ, "213"), BRAM);
    CallId call = scene.arrive(DOV, LINE);
    assertThat(rings(call)).isNull();
    scene.wait(39);
    assertThat(rings(call)).isNull();
    scene.wait(1);
    assertThat(rings(call)).isEqualTo(ZOE);
  }

  @Test
  void whoever_does_not_answer_is_passed_over_and_after_twice_in_a_row_rests() {
    CallId call = scene.arrive(DOV, LINE);
    assertThat(rings(call)).isEqualTo(TOMASZ);
    scene.wait(30);
    assertThat(rings(call)).isEqualTo(ZOE);
    assertThat(scene.run(new CallCommand.Decline(call, ZOE))).isNull();
    assertThat(rings(call)).as("nobody else is free").isEqualTo(TOMASZ);
    scene.wait(30);
    assertThat(scene.exchange.state().queues().takesPart(TOMASZ, FREIGHT)).isFalse();
    assertThat(scene.notices)
        .filteredOn(notice -> notice.what() == Notice.What.RESTED)
        .extracting(Notice::to)
        .containsExactly(TOMASZ);
    assertThat(rings(call)).isEqualTo(ZOE);
    scene.answer(call, ZOE);
    scene.clear(call, ZOE);
    assertThat(scene.entry(call, TOMASZ).result()).isEqualTo(Part.Result.NOT_TAKEN);
    assertThat(Part.Result.NOT_TAKEN.missed()).isFalse();
    assertThat(takePart(TOMASZ, false, TOMASZ)).isNull();
    assertThat(rings(scene.arrive(DOV, LINE))).isEqualTo(TOMASZ);
  }

  @Test
  void whoever_gives_up_is_to_be_called_back_by_each_who_takes_part() {
    bothBusy();
    takePart(ZOE, true, ZOE);
    CallId call = scene.arrive(DOV, LINE);
    scene.wait(50);
    scene.run(new NetworkCommand.NetworkClears(call, 1));
    assertThat(scene.entry(call, TOMASZ).result()).isEqualTo(Part.Result.MISSED);
    assertThat(scene.entries(call)).hasSize(1);
    assertThat(waiting()).isEmpty();
  }

  @Test
  void what_earlier_calls_have_left_behind_counts_after_a_restart() {
    Instant hourAgo = scene.now().minusSeconds(3600);
    scene.exchange.begin(
        new Lately(
            List.of(new Lately.Taken(TOMASZ, hourAgo, hourAgo.plusSeconds(60))),
            List.of(new Lately.Came(FREIGHT, MARISOL, hourAgo))));
    keeps(FREIGHT, queue(Order.FEWEST, List.of(), List.of(new Preference(Why.AGAIN_TODAY, "", 1))));
    CallId call = scene.arrive(MARISOL, LINE);
    assertThat(rings(call)).as("Tomasz has taken one").isEqualTo(ZOE);
    assertThat(scene.state(call).place().why()).isEqualTo(Why.AGAIN_TODAY);
  }

  @Test
  void priority_comes_first_and_says_why() {
    keeps(
        FREIGHT,
        queue(
            Order.LONGEST_IDLE,
            List.of(),
            List.of(new Preference(Why.AGAIN_TODAY, "", 1), new Preference(Why.SENT_HERE, "", 5))));
    bothBusy();
    scene.run(new NetworkCommand.NetworkClears(scene.arrive(MARISOL, LINE), 1));
    CallId usual = scene.arrive(DOV, LINE);
    scene.wait(1);
    CallId again = scene.arrive(MARISOL, LINE);
    assertThat(scene.state(again).place().why()).isEqualTo(Why.AGAIN_TODAY);
    assertThat(waiting()).containsExactly(again, usual);
    free(TOMASZ);
    assertThat(rings(again)).isEqualTo(TOMASZ);
    scene.run(new NetworkCommand.NetworkClears(again, 1));
    assertThat(rings(usual)).isEqualTo(TOMASZ);
    scene.wait(86_400);
    scene.run(new NetworkCommand.NetworkClears(usual, 1));
    assertThat(scene.state(scene.arrive(MARISOL, LINE)).place().why())
        .as("that was yesterday")
        .isNull();
  }

  @Test
  void a_caller_who_is_sent_there_waits_and_comes_back_when_nobody_takes_them() {
    bothBusy();
    CallId call = scene.arrive(DOV, "+441914980201");
    scene.answer(call, INES);
    assertThat(
            scene.run(
                new SendCommand.PutThrough(
                    call, INES, scene.office.plan.interpret("220"), null, null)))
        .isNull();
    assertThat(scene.state(call).waits()).isTrue();
    scene.wait(300);
    assertThat(rings(call)).isEqualTo(INES);
  }

  @Test
  void whoever_announces_to_a_line_can_leave_the_caller_there() {
    bothBusy();
    CallId call = scene.arrive(DOV, "+441914980201");
    scene.answer(call, INES);
    CallId announcement = scene.nextId();
    assertThat(
            scene.run(
                new SendCommand.Announce(
                    call,
                    INES,
                    announcement,
                    Scene.WINDOW,
                    scene.office.plan.interpret("220"),
                    null)))
        .isNull();
    assertThat(scene.state(announcement).waits()).isTrue();
    assertThat(scene.run(new SendCommand.HandOver(call, INES, announcement))).isNull();
    assertThat(scene.state(announcement)).isNull();
    assertThat(waiting()).containsExactly(call);
    assertThat(scene.state(call).of(INES)).isNull();
  }

  @Test
  void too_long_nobody_takes_part_and_the_rules_of_the_line_say_where_they_go() {
    rule(Situation.NO_ANSWER, Destination.to(new Party.Employee(INES)));
    bothBusy();
    CallId tooLong = scene.arrive(DOV, LINE);
    scene.wait(300);
    assertThat(rings(tooLong)).isEqualTo(INES);
    scene.answer(tooLong, INES);
    scene.clear(tooLong, INES);

    CallId waits = scene.arrive(DOV, LINE);
    takePart(TOMASZ, true, TOMASZ);
    assertThat(scene.state(waits).waits()).isTrue();
    takePart(ZOE, true, INES); // who leads the line
    assertThat(rings(waits)).isEqualTo(INES);
    scene.run(new NetworkCommand.NetworkClears(waits, 1));
    assertThat(scene.state(scene.arrive(MARISOL, LINE)).waits()).isFalse();
  }

  @Test
  void from_line_to_line_one_keeps_the_time_one_has_waited() {
    keeps(FRONT_DESK, queue(Order.LONGEST_IDLE, List.of(), List.of()));
    rule(Situation.NO_ANSWER, Destination.to(new Party.Members(FRONT_DESK)));
    bothBusy();
    scene.answer(scene.call(INES, "0113 496 0148"), INES);
    CallId call = scene.arrive(DOV, LINE);
    var since = scene.now();
    scene.wait(240);
    CallId later = scene.arrive(MARISOL, "+441914980100");
    scene.wait(60);
    assertThat(scene.state(call).place().line()).isEqualTo(FRONT_DESK);
    assertThat(scene.state(call).place().since()).isEqualTo(since);
    assertThat(scene.exchange.state().queues().waitingAt(FRONT_DESK)).containsExactly(call, later);
  }

  @Test
  void after_a_call_for_the_line_one_finishes_and_is_then_as_before() {
    CallId call = scene.arrive(DOV, LINE);
    scene.answer(call, TOMASZ);
    scene.clear(call, TOMASZ);
    CallId next = scene.arrive(MARISOL, LINE);
    assertThat(rings(next)).isEqualTo(ZOE);
    scene.answer(next, ZOE);
    CallId third = scene.arrive(THIRD, LINE);
    assertThat(rings(third)).as("Tomasz writes something down").isNull();
    assertThat(scene.run(new OfficeCommand.Finish(TOMASZ, Duration.ofSeconds(30)))).isNull();
    scene.wait(49);
    assertThat(rings(third)).isNull();
    scene.wait(1);
    assertThat(rings(third)).isEqualTo(TOMASZ);
    assertThat(scene.run(new OfficeCommand.Finish(TOMASZ, null)).reason())
        .isEqualTo(Reason.NOT_FINISHING);

    scene.answer(third, TOMASZ);
    takePart(TOMASZ, true, TOMASZ);
    scene.clear(third, TOMASZ);
    assertThat(scene.run(new OfficeCommand.Finish(TOMASZ, null))).isNull();
    assertThat(scene.exchange.state().queues().takesPart(TOMASZ, FREIGHT)).isFalse();
  }

  @Test
  void calls_of_ones_own_are_none_of_the_line_and_nobody_is_rung_on_one() {
    CallId own = scene.arrive(DOV, "+441914980221");
    scene.answer(own, TOMASZ);
    takePart(ZOE, true, ZOE);
    CallId call = scene.arrive(MARISOL, LINE);
    assertThat(rings(call)).isNull();
    scene.clear(own, TOMASZ);
    assertThat(rings(call)).as("no finishing after a call of one's own").isEqualTo(TOMASZ);
  }

  @Test
  void who_leads_takes_callers_out_of_turn_and_moves_them_and_nobody_else_does() {
    keeps(FRONT_DESK, queue(Order.LONGEST_IDLE, List.of(), List.of()));
    bothBusy();
    CallId first = scene.arrive(DOV, LINE);
    CallId second = scene.arrive(MARISOL, LINE);
    assertThat(scene.run(new SendCommand.TakeWaiting(second, BRAM, Scene.WINDOW)).reason())
        .isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(scene.run(new SendCommand.MoveWaiting(second, ZOE, FRONT_DESK)).reason())
        .isEqualTo(Reason.NO_SUCH_CALL);
    assertThat(takePart(TOMASZ, true, BRAM).reason()).isEqualTo(Reason.NO_SUCH_LINE);
    assertThat(scene.run(new SendCommand.MoveWaiting(first, INES, FRONT_DESK))).isNull();
    assertThat(rings(first)).isEqualTo(INES);
    assertThat(scene.run(new SendCommand.TakeWaiting(second, INES, Scene.WINDOW))).isNull();
    assertThat(scene.state(second, INES)).isEqualTo(ConnectionState.CONNECTED);
  }
}
