package oficina.core.machines;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Queueing;
import oficina.core.draft.Reachability;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.QueueEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Member;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.Queues;
import org.jspecify.annotations.Nullable;

/**
 * How calls that wait at lines are handed to members who are free (call distribution of ECMA-269).
 * Looked at after every decision: nobody waits while somebody is free who may take them, and nobody
 * is overtaken by a call of the same priority.
 */
public final class Waiting {
  /** Somebody may have come to a line in the moment in which it was taken away. */
  private static final Duration AT_A_LINE_THAT_IS_GONE = Duration.ofSeconds(20);

  private final Draft draft;
  private final Reachability reach;
  private final Queueing queueing;
  private final Onward onward;
  private final Clearing clearing;
  private final Returning returning;

  /** For one decision. */
  public Waiting(Consequences then) {
    draft = then.draft();
    reach = then.reach();
    queueing = then.queueing();
    onward = then.onward();
    clearing = then.clearing();
    returning = new Returning(then);
  }

  /** More members are asked from now on, or the caller has waited for as long as they are kept. */
  public void timeIsUp(Call call, Connection music) {
    Place place = call.place();
    if (place.isAsked()) {
      queueing.given(call, music, "");
      return;
    }
    if (place.ends().isAfter(draft.now)) {
      Instant due = queueing.due(place.line(), place.since(), place.ends());
      draft.emit(new QueueEvent.Widened(call.id(), draft.now, music.leg(), due));
      return;
    }
    if (call.rings()) {
      // It has begun to ring in time, and may go on.
      draft.emit(new QueueEvent.Widened(call.id(), draft.now, music.leg(), null));
    } else {
      leaves(call, Cause.NO_ANSWER);
    }
  }

  /** It rings at nobody any more, and the caller has waited for as long as they are kept. */
  private void leavesIfTooLong(CallId id) {
    Call call = draft.call(id);
    if (call != null && call.waits() && isOver(call) && !call.rings()) {
      leaves(call, Cause.NO_ANSWER);
    }
  }

  private boolean isOver(Call call) {
    return !call.place().ends().isAfter(draft.now);
  }

  /** They wait no longer, and go where the line's rules have them go. */
  private void leaves(Call call, Cause why) {
    if (call.keepsPlace()) {
      returning.givesUp(call);
      return;
    }
    clearing.leaveLine(call, why);
    onward.goOn(draft.call(call.id()), why, reach.takingPart(call.place().line()));
  }

  /** After everything that happens: whoever waits is rung at whoever is free. */
  public void distribute() {
    if (draft.state.queues().lines().isEmpty()) {
      return;
    }
    for (ExchangeEvent event : draft.events()) {
      if (event instanceof TalkEvent.ConnectionCleared gone) {
        leavesIfTooLong(gone.call());
      }
    }
    for (GroupId line : List.copyOf(draft.state.queues().lines())) {
      if (draft.office.directions().queue(line) == null || reach.takingPart(line).isEmpty()) {
        nobodyComes(line);
      }
    }
    new Round().ring();
  }

  /** Nobody takes part any more: those who wait go on, one after the other. */
  private void nobodyComes(GroupId line) {
    for (CallId id : draft.state.queues().waitingAt(line)) {
      Call call = draft.call(id);
      if (call.waits() && call.place().line().equals(line) && !call.rings()) {
        leaves(call, Cause.NO_ANSWER);
      }
    }
  }

  /** One look at all who wait and all who are free. */
  private final class Round {
    private final Map<GroupId, List<PersonId>> free = new HashMap<>();

    void ring() {
      for (Call next = next(); next != null; next = next()) {
        ring(next);
      }
    }

    /** Of all who wait and are not rung for, the first at whom somebody is free. */
    private @Nullable Call next() {
      Call first = null;
      for (GroupId line : draft.state.queues().lines()) {
        Call call = next(line);
        if (call != null && (first == null || Queues.compare(call, first) < 0)) {
          first = call;
        }
      }
      return first;
    }

    private @Nullable Call next(GroupId line) {
      Queue queue = draft.office.directions().queue(line);
      List<PersonId> members = queue == null ? List.of() : free(line);
      if (members.isEmpty()) {
        return null;
      }
      boolean together = queue.order() == Queue.Order.ALL;
      Call rung = null;
      for (CallId id : draft.state.queues().waitingAt(line)) {
        Call call = draft.call(id);
        if (mayRing(call, members).isEmpty()) {
          continue;
        }
        if (!call.rings()) {
          return call;
        }
        rung = rung == null && together ? call : rung;
      }
      return rung; // whoever has just become free is rung with the others
    }

    private List<PersonId> free(GroupId line) {
      return free
          .computeIfAbsent(
              line,
              each -> draft.office.directory().group(each).map(Group::members).orElse(List.of()))
          .stream()
          .filter(member -> reach.freeFor(line, member))
          .toList();
    }

    /** Those who may take this call: the caller has waited long enough to ask them. */
    private List<PersonId> mayRing(Call call, List<PersonId> members) {
      Place place = call.place();
      if (isOver(call) || (call.keepsPlace() && !mayBeCalled(place.kept()))) {
        return List.of();
      }
      Queue queue = draft.office.directions().queue(place.line());
      Duration waited = Duration.between(place.since(), draft.now);
      return members.stream()
          .filter(member -> call.of(member) == null)
          .filter(member -> queue.asked(member).compareTo(waited) <= 0)
          .toList();
    }

    /** Nobody is rung to call somebody back for whom no line is left. */
    private boolean mayBeCalled(Place.Kept kept) {
      return !kept.from().isAfter(draft.now) && !reach.linesBusy();
    }

    private void ring(Call call) {
      GroupId line = call.place().line();
      List<PersonId> may = mayRing(call, free(line));
      // Whoever has just let it ring is asked again only when nobody else is free.
      List<PersonId> fresh = may.stream().filter(each -> !call.rang().contains(each)).toList();
      List<PersonId> wanted = fresh.isEmpty() ? may : fresh;
      Queue queue = draft.office.directions().queue(line);
      if (queue.order() == Queue.Order.ALL) {
        wanted.forEach(member -> ringAt(call.id(), line, member));
      } else {
        wanted.stream().min(order(queue)).ifPresent(each -> ringAt(call.id(), line, each));
      }
    }
  }

  private void ringAt(CallId id, GroupId line, PersonId member) {
    Duration time =
        draft.office.directory().group(line).map(Group::ringTime).orElse(AT_A_LINE_THAT_IS_GONE);
    draft.emit(
        new ReachEvent.Delivered(
            id,
            draft.now,
            draft.call(id).nextLeg(),
            new Party.Employee(member),
            new Party.Members(line),
            draft.now.plus(time)));
  }

  /** Who is rung first; among equals whoever stands first in the line. */
  private Comparator<PersonId> order(Queue queue) {
    Comparator<PersonId> idle = longestAgo(Member::idle);
    return switch (queue.order()) {
      case ALL, LONGEST_IDLE -> idle;
      case IN_TURN -> longestAgo(Member::rung);
      case FEWEST -> Comparator.<PersonId>comparingLong(this::takenToday).thenComparing(idle);
      case LEVELS -> Comparator.comparing(queue::asked).thenComparing(idle);
    };
  }

  private Comparator<PersonId> longestAgo(When when) {
    return Comparator.comparing(
        member -> when.of(member(member)), Comparator.nullsFirst(Comparator.naturalOrder()));
  }

  private interface When {
    @Nullable Instant of(Member member);
  }

  private Member member(PersonId person) {
    return draft.state.queues().member(person);
  }

  private long takenToday(PersonId person) {
    return member(person).taken().stream().filter(draft::isToday).count();
  }
}
