package oficina.core.services;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.MemberEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Member;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** Who takes part in lines, who rests, and who still writes down what a call was about. */
public final class Members {
  /** Whoever does not take so many calls one after the other is not there. */
  private static final int IN_VAIN = 2;

  /** Longer than this nobody writes. */
  private static final Duration LONGEST = Duration.ofMinutes(30);

  private final Draft draft;

  /** For one decision. */
  public Members(Consequences then) {
    draft = then.draft();
  }

  /** Takes part in a line, or in all of one's own, from now on; or rests. */
  public @Nullable Refusal takePart(OfficeCommand.TakePart c) {
    List<GroupId> lines =
        linesOf(c.person()).stream()
            .filter(line -> c.line() == null || line.equals(c.line()))
            .toList();
    if (lines.isEmpty()) {
      return Refusal.of(Reason.NO_SUCH_LINE);
    }
    boolean allowed =
        c.by().equals(c.person())
            || (c.line() != null && Permissions.mayLead(draft.office, c.line(), c.by()));
    if (!allowed) {
      return Refusal.of(Reason.NO_SUCH_LINE);
    }
    for (GroupId line : lines) {
      if (!c.rests()) {
        takesPart(c.person(), line, c.by());
      } else if (takesPart(c.person(), line)) {
        rests(c.person(), line, c.reason(), c.by());
      }
    }
    return null;
  }

  private void takesPart(PersonId person, GroupId line, PersonId by) {
    if (!takesPart(person, line)) {
      draft.emit(new MemberEvent.TookPart(person, line, draft.now, by));
    }
  }

  private void rests(PersonId person, GroupId line, String reason, @Nullable PersonId by) {
    draft.emit(new MemberEvent.Rested(person, line, draft.now, reason, by));
  }

  private boolean takesPart(PersonId person, GroupId line) {
    return draft.state.queues().takesPart(person, line);
  }

  private List<GroupId> linesOf(PersonId person) {
    return draft.office.directory().groupsOf(person);
  }

  /** Is done with finishing, or needs so much longer for it. */
  public @Nullable Refusal finish(OfficeCommand.Finish c) {
    Member.Finishing now = draft.state.queues().member(c.person()).finishing();
    if (now == null) {
      return Refusal.of(Reason.NOT_FINISHING);
    }
    if (c.more() == null) {
      ends(c.person());
      return null;
    }
    Instant until = now.until().plus(c.more());
    if (until.isAfter(now.since().plus(LONGEST))) {
      return Refusal.of(Reason.FINISHING_TOO_LONG, (int) LONGEST.toMinutes());
    }
    draft.emit(
        new MemberEvent.FinishingBegan(c.person(), now.line(), now.since(), now.call(), until));
    return null;
  }

  /** Time for finishing is up. */
  public void ends(PersonId person) {
    if (draft.state.queues().member(person).finishing() != null) {
      draft.emit(new MemberEvent.FinishingEnded(person, draft.now));
    }
  }

  /** Whoever has left is a member of nothing. */
  public void forget(PersonId person) {
    ends(person);
    List.copyOf(draft.state.queues().member(person).rests().keySet())
        .forEach(line -> takesPart(person, line, person));
  }

  /** After everything that happens: whoever has ended a call for a queue writes it down. */
  public void followUp() {
    for (ExchangeEvent event : draft.events()) {
      if (event instanceof TalkEvent.ConnectionCleared left) {
        left(left);
      }
    }
  }

  private void left(TalkEvent.ConnectionCleared e) {
    Call call = draft.state.beneath().call(e.call());
    Connection gone = call == null ? null : call.leg(e.leg());
    PersonId person = gone == null ? null : gone.party().employee();
    if (person == null || call.place() == null) {
      return;
    }
    Place place = call.place();
    Queue queue = draft.office.directions().queue(place.line());
    if (queue == null || !linesOf(person).contains(place.line())) {
      return;
    }
    boolean finishes = person.equals(place.by()) && gone.answered() && !queue.finishing().isZero();
    if (finishes) {
      Instant until = draft.now.plus(queue.finishing());
      draft.emit(new MemberEvent.FinishingBegan(person, place.line(), draft.now, call.id(), until));
    } else if (draft.state.queues().member(person).missed() >= IN_VAIN) {
      linesOf(person).stream()
          .filter(line -> draft.office.directions().queue(line) != null)
          .filter(line -> takesPart(person, line))
          .forEach(line -> rests(person, line, "", null));
    }
  }
}
