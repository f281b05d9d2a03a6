package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.QueueEvent;
import oficina.core.events.TalkEvent;
import oficina.core.figures.Wait;
import oficina.core.figures.Wait.Outcome;
import oficina.core.figures.Waits;
import oficina.core.office.Office;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.queueing.Member;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;

/** What is true of everybody who waits at a line, after every event. */
final class QueueRules {
  private final Scene scene;
  private Map<CallId, Set<Integer>> rungBefore = new HashMap<>();

  QueueRules(Scene scene) {
    this.scene = scene;
  }

  void hold() {
    Map<CallId, Set<Integer>> rung = new HashMap<>();
    ExchangeState state = scene.exchange.state();
    for (Call call : state.calls()) {
      if (call.waits()) {
        Set<Integer> legs = new HashSet<>();
        call.connections().stream().filter(Connection::rings).forEach(c -> legs.add(c.leg()));
        rung.put(call.id(), legs);
        assertThat(state.queues().waitingAt(call.place().line())).contains(call.id());
        assertThat(call.standIn().party().waitsAt()).isEqualTo(call.place().line());
      }
    }
    for (GroupId line : state.queues().lines()) {
      check(line, rung);
    }
    rungBefore = rung;
  }

  private void check(GroupId line, Map<CallId, Set<Integer>> rung) {
    List<Call> before = new ArrayList<>();
    Queue queue = office().directions().queue(line);
    for (CallId id : scene.exchange.state().queues().waitingAt(line)) {
      Call call = scene.state(id);
      assertThat(call).as("whoever waits is there: %s", id).isNotNull();
      Place.Kept kept = call.place().kept();
      boolean later = kept != null && (kept.from().isAfter(scene.now()) || linesBusy());
      boolean ended = later || !call.place().ends().isAfter(scene.now());
      if (rung.get(id).isEmpty() && !ended && queue != null) {
        assertThat(office().directory().group(line).orElseThrow().members())
            .as("rule 10: waits while somebody is free: %s", call)
            .noneMatch(member -> free(member, line) && asked(queue, member, call));
        before.add(call);
      }
      Set<Integer> newly = new HashSet<>(rung.get(id));
      newly.removeAll(rungBefore.getOrDefault(id, Set.of()));
      if (!newly.isEmpty()) {
        assertThat(before)
            .as("rule 11: overtaken by %s", call)
            .noneMatch(each -> overtakes(call.place(), each.place()));
      }
    }
  }

  private static boolean overtakes(Place rung, Place waits) {
    return rung.priority() == waits.priority() && waits.since().isBefore(rung.since());
  }

  private boolean linesBusy() {
    int lines = office().settings().limits().outsideLines();
    return scene.exchange.state().outsideLinesTaken() >= lines;
  }

  private Office office() {
    return scene.exchange.office();
  }

  private boolean asked(Queue queue, PersonId member, Call call) {
    Duration waited = Duration.between(call.place().since(), scene.now());
    return queue.asked(member).compareTo(waited) <= 0;
  }

  private boolean free(PersonId person, GroupId line) {
    ExchangeState state = scene.exchange.state();
    Member member = state.queues().member(person);
    Status said = state.status(person);
    return !state.devices(person).isEmpty()
        && state.inHand(person).isEmpty()
        && (said == null || said.kind().takesCalls())
        && member.finishing() == null
        && !member.rests().containsKey(line);
  }

  /** Rule 12: every wait ends in exactly one way, and the figures count what happened. */
  static void waitsEndOnce(List<ExchangeEvent> events) {
    Exchange again = new Scene().exchange;
    Waits reader = new Waits();
    List<Wait> waits = new ArrayList<>();
    int began = 0;
    int answered = 0;
    for (ExchangeEvent event : events) {
      Call before = event.inCall() == null ? null : again.state().call(event.inCall());
      began += event instanceof QueueEvent.Queued queued && queued.kept() == null ? 1 : 0;
      boolean own = before != null && before.waits() && !before.keepsPlace();
      answered += event instanceof TalkEvent.Established && own ? 1 : 0;
      Wait ended = reader.follow(event, before);
      if (ended != null) {
        waits.add(ended);
      }
      again.apply(event);
    }
    // Two waits of one call may look the same: here several things happen at one moment.
    assertThat(waits).as("rule 12").hasSize(began);
    assertThat(waits).filteredOn(each -> each.outcome() == Outcome.ANSWERED).hasSize(answered);
  }
}
