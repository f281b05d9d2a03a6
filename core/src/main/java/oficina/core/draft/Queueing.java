package oficina.core.draft;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.events.QueueEvent;
import oficina.core.events.TalkEvent;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** How calls come to wait at lines, and with which priority. */
public final class Queueing {
  private static final Duration LAST_TRY = Duration.ofMinutes(30);

  /** So long a number is asked for at most. */
  private static final Duration PATIENCE = Duration.ofMinutes(1);

  /** No connection has this number. */
  private static final int NOBODY = 0;

  private final Draft draft;
  private final Reachability reach;

  Queueing(Draft draft, Reachability reach) {
    this.draft = draft;
    this.reach = reach;
  }

  /** A line keeps the caller until a member is free. */
  void queue(Call call, Party.Queue at) {
    Call earlier = kept(call, at.line());
    Place before = earlier == null ? call.place() : earlier.place();
    String given = before == null ? "" : before.given();
    boolean asks =
        given.isEmpty() && queue(at.line()).told().asks() != null && outside(call) != null;
    boolean waitedOn = earlier != null || (before != null && before.stage() == Place.Stage.LEFT);
    Instant since = waitedOn ? before.since() : draft.now;
    Instant ends = draft.now.plus(queue(at.line()).longestWait());
    Queue.Preference preference = preference(call, at.line());
    draft.emit(
        new QueueEvent.Queued(
            call.id(),
            draft.now,
            call.nextLeg(),
            at,
            since,
            preference == null ? 0 : preference.priority(),
            preference == null ? null : preference.why(),
            reach.takingPart(at.line()),
            ends,
            asks ? draft.now.plus(PATIENCE) : due(at.line(), since, ends),
            /* kept= */ null,
            given,
            asks));
    if (earlier != null) {
      over(earlier);
    }
  }

  private Queue.@Nullable Preference preference(Call call, GroupId line) {
    return queue(line).preferences().stream()
        .filter(each -> fits(each, call, line))
        .max(Comparator.comparingInt(Queue.Preference::priority))
        .orElse(null);
  }

  /** As long as a caller waits at a line, it has decided how. */
  private Queue queue(GroupId line) {
    Queue queue = draft.office.directions().queue(line);
    return queue == null ? Queue.DEFAULT : queue;
  }

  /** Whoever was asked for a number waits from now on; digits are empty when they gave none. */
  public void given(Call call, Connection music, String digits) {
    Place place = call.place();
    Instant ends = draft.now.plus(queue(place.line()).longestWait());
    Instant due = due(place.line(), place.since(), ends);
    draft.emit(new QueueEvent.NumberGiven(call.id(), draft.now, music.leg(), digits, ends, due));
  }

  /** The place that whoever calls now has kept at this line; null when they have kept none. */
  private @Nullable Call kept(Call call, GroupId line) {
    PhoneNumber number = outside(call);
    for (CallId id : draft.state.queues().waitingAt(line)) {
      Call waits = draft.call(id);
      if (waits.keepsPlace() && !waits.rings() && waits.place().kept().number().equals(number)) {
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

  /** Somebody who was called back in vain waits once more. */
  public void again(Call call, Place.Kept kept) {
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
            reach.takingPart(place.line()),
            place.ends().isAfter(kept.from()) ? place.ends() : kept.from().plus(LAST_TRY),
            kept.from(),
            kept,
            place.given(),
            /* asked= */ false));
  }

  /** When more members of a line are asked for somebody, or they are kept no longer. */
  public Instant due(GroupId line, Instant since, Instant ends) {
    Queue queue = draft.office.directions().queue(line);
    Duration next = queue == null ? null : queue.nextLevel(Duration.between(since, draft.now));
    return next == null || since.plus(next).isAfter(ends) ? ends : since.plus(next);
  }

  private boolean fits(Queue.Preference preference, Call call, GroupId line) {
    PhoneNumber number = outside(call);
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

  /** At which number the one is who came to wait; null when that is nobody outside. */
  private static @Nullable PhoneNumber outside(Call call) {
    Connection there = call.opposite(NOBODY);
    return there == null ? null : there.party().outsideNumber();
  }

  private boolean wasHereToday(GroupId line, PhoneNumber number) {
    Instant before = draft.state.queues().waitedLately(line, number);
    return before != null && draft.isToday(before);
  }
}
