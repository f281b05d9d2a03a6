package oficina.core.draft;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.events.MachineEvent;
import oficina.core.events.QueueEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** How voices of the office come into a call. */
public final class Machines {
  private static final Duration LONGEST_GREETING = Duration.ofSeconds(60);

  /** No connection has this number. */
  private static final int NOBODY = 0;

  private static final Duration LONGEST_WELCOME = Duration.ofMinutes(2);

  private static final Duration LAST_TRY = Duration.ofMinutes(30);

  private final Draft draft;

  Machines(Draft draft) {
    this.draft = draft;
  }

  /**
   * A mailbox answers a call that nobody takes.
   *
   * @param why nobody does
   * @param missedBy employees who were wanted and were never rung
   */
  public void takeMessage(Call call, Party.Mailbox mailbox, Cause why, List<PersonId> missedBy) {
    draft.emit(
        new MachineEvent.MailboxAnswered(
            call.id(),
            draft.now,
            call.nextLeg(),
            mailbox,
            Occasion.after(why),
            why,
            missedBy,
            draft.now.plus(LONGEST_GREETING)));
  }

  void welcome(Call call, Party.Welcome welcome) {
    draft.emit(
        new MachineEvent.Welcomed(
            call.id(), draft.now, call.nextLeg(), welcome, draft.now.plus(LONGEST_WELCOME)));
  }

  /** A line keeps the caller until a member is free. */
  void queue(Call call, Party.Queue at) {
    Queue queue = draft.office.directions().queue(at.line());
    Call earlier = kept(call, at.line());
    Place before = earlier == null ? call.place() : earlier.place();
    boolean waitedOn = earlier != null || (before != null && before.stage() == Place.Stage.LEFT);
    Instant since = waitedOn ? before.since() : draft.now;
    Instant ends = draft.now.plus(queue.longestWait());
    Queue.Preference preference =
        queue.preferences().stream()
            .filter(each -> fits(each, call, at.line()))
            .max(Comparator.comparingInt(Queue.Preference::priority))
            .orElse(null);
    draft.emit(
        new QueueEvent.Queued(
            call.id(),
            draft.now,
            call.nextLeg(),
            at,
            since,
            preference == null ? 0 : preference.priority(),
            preference == null ? null : preference.why(),
            takingPart(at.line()),
            ends,
            due(at.line(), since, ends),
            /* kept= */ null));
    if (earlier != null) {
      over(earlier);
    }
  }

  /** The place that whoever calls now has kept at this line; null when they have kept none. */
  private @Nullable Call kept(Call call, GroupId line) {
    Connection there = call.opposite(NOBODY);
    PhoneNumber number = there == null ? null : there.party().outsideNumber();
    for (CallId id : draft.state.queues().waitingAt(line)) {
      Call waits = draft.call(id);
      boolean rings = waits.connections().stream().anyMatch(Connection::rings);
      if (waits.keepsPlace() && !rings && waits.place().kept().number().equals(number)) {
        return waits;
      }
    }
    return null;
  }

  /** They have called again themselves, and wait on in that call. */
  private void over(Call kept) {
    for (Connection each : kept.connections()) {
      draft.emit(
          new TalkEvent.ConnectionCleared(kept.id(), draft.now, each.leg(), Cause.TRANSFERRED));
    }
    draft.emit(new TalkEvent.CallCleared(kept.id(), draft.now, Cause.TRANSFERRED));
  }

  /** Somebody who was called back in vain waits once more, for the last time. */
  public void queueAgain(Call call, Instant from) {
    Place place = call.place();
    draft.emit(
        new QueueEvent.Queued(
            call.id(),
            draft.now,
            call.nextLeg(),
            new Party.Queue(place.line()),
            place.since(),
            place.priority(),
            place.why(),
            takingPart(place.line()),
            place.ends().isAfter(from) ? place.ends() : from.plus(LAST_TRY),
            from,
            new Place.Kept(place.kept().number(), from, place.kept().tries() + 1)));
  }

  /** When more members of a line are asked for somebody, or they are kept no longer. */
  public Instant due(GroupId line, Instant since, Instant ends) {
    Queue queue = draft.office.directions().queue(line);
    Duration next = queue == null ? null : queue.nextLevel(Duration.between(since, draft.now));
    return next == null || since.plus(next).isAfter(ends) ? ends : since.plus(next);
  }

  /** Members who take part in a line, whether they are free or not. */
  public List<PersonId> takingPart(GroupId line) {
    return draft.office.directory().group(line).map(Group::members).orElse(List.of()).stream()
        .filter(member -> draft.state.queues().takesPart(member, line))
        .toList();
  }

  private boolean fits(Queue.Preference preference, Call call, GroupId line) {
    Connection there = call.opposite(NOBODY);
    PhoneNumber number = there == null ? null : there.party().outsideNumber();
    return switch (preference.why()) {
      case SENT_HERE -> call.answered() != null;
      case FROM_ANOTHER_LINE ->
          call.called().group() != null && !call.called().group().equals(line);
      case AGAIN_TODAY -> number != null && wasHereToday(line, number);
      case TAG ->
          number != null
              && draft.office.directions().book().tags(number).contains(preference.tag());
    };
  }

  private boolean wasHereToday(GroupId line, PhoneNumber number) {
    Instant before = draft.state.queues().waitedLately(line, number);
    return before != null && draft.isToday(before);
  }

  void attend(Call call, Party attendant) {
    int leg = call.nextLeg();
    draft.emit(
        new ReachEvent.Delivered(call.id(), draft.now, leg, attendant, attendant, draft.now));
    draft.emit(new TalkEvent.Established(call.id(), draft.now, leg, null));
  }
}
