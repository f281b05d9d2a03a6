package oficina.core.seen;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.queueing.Member;
import oficina.core.queueing.Place;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * What goes on at a line that keeps callers: who waits, in the order in which they are served, and
 * how its members stand (agent states of ECMA-269).
 */
public record QueueUse(GroupId line, List<Waiting> waiting, List<Standing> members) {

  /** Somebody who waits. */
  public record Waiting(CallId call, Party caller, Place place, boolean rings) {}

  /**
   * How a member stands.
   *
   * @param since since when; null where that is not known
   * @param until when they are done with finishing; null otherwise
   * @param reason why they rest; empty when they do not, or have given none
   * @param byExchange whether they rest because they did not take calls
   */
  public record Standing(
      PersonId person,
      State state,
      @Nullable Instant since,
      @Nullable Instant until,
      String reason,
      boolean byExchange) {}

  /** How a member stands. */
  public enum State {
    /** They would be rung. */
    FREE,
    RINGING,
    /** They speak with somebody who has waited at this line. */
    SERVING,
    /** They have another call in hand. */
    ON_CALL,
    FINISHING,
    /** They do not take part. */
    RESTS,
    /** They say that they take no calls. */
    AWAY,
    /** No device of theirs would ring. */
    OFF;

    /** Whether they are there for the line: free for its calls, or at work on one. */
    public boolean isThere() {
      return switch (this) {
        case FREE, RINGING, SERVING, FINISHING -> true;
        case ON_CALL, RESTS, AWAY, OFF -> false;
      };
    }
  }

  /** How many members would be rung now. */
  public int free() {
    return (int) members.stream().filter(each -> each.state() == State.FREE).count();
  }

  /** How many members serve callers, now or soon. */
  public int serving() {
    return (int)
        members.stream()
            .filter(each -> each.state().isThere() || each.state() == State.ON_CALL)
            .count();
  }

  /** Since when the one has waited who has waited longest; null when nobody waits. */
  public @Nullable Instant longestSince() {
    return waiting.stream().map(each -> each.place().since()).min(Instant::compareTo).orElse(null);
  }

  /** How it stands at this line now. */
  public static QueueUse of(Group line, ExchangeState state) {
    List<Waiting> waiting = new ArrayList<>();
    for (CallId id : state.queues().waitingAt(line.id())) {
      Call call = state.call(id);
      Connection there = call.opposite(call.standIn().leg());
      Place.Kept kept = call.place().kept();
      Party caller = there == null ? call.caller() : there.party();
      waiting.add(
          new Waiting(
              id,
              kept == null ? caller : new Party.Outside(kept.number()),
              call.place(),
              call.rings()));
    }
    List<Standing> members =
        line.members().stream().map(member -> standing(member, line.id(), state)).toList();
    return new QueueUse(line.id(), List.copyOf(waiting), members);
  }

  private static Standing standing(PersonId person, GroupId line, ExchangeState state) {
    Member member = state.queues().member(person);
    Standing inCall = inCall(person, line, state);
    if (inCall != null) {
      return inCall;
    }
    if (member.finishing() != null) {
      Member.Finishing now = member.finishing();
      return new Standing(person, State.FINISHING, now.since(), now.until(), "", false);
    }
    Member.Rest rest = member.rests().get(line);
    if (rest != null) {
      return new Standing(
          person, State.RESTS, rest.since(), null, rest.reason(), rest.by() == null);
    }
    if (state.devices(person).isEmpty()) {
      return plain(person, State.OFF, null);
    }
    Status said = state.status(person);
    return said != null && !said.kind().takesCalls()
        ? plain(person, State.AWAY, said.since())
        : plain(person, State.FREE, member.idle());
  }

  private static @Nullable Standing inCall(PersonId person, GroupId line, ExchangeState state) {
    Standing found = null;
    for (CallId id : state.inHand(person)) {
      Call call = state.call(id);
      Connection own = call.of(person);
      Place place = call.place();
      boolean forLine = place != null && place.line().equals(line);
      if (forLine && person.equals(place.by())) {
        return plain(person, State.SERVING, place.left());
      }
      if (own.rings() && found == null) {
        found = plain(person, forLine ? State.RINGING : State.ON_CALL, own.since());
      } else if (!own.rings()) {
        found = plain(person, State.ON_CALL, call.began());
      }
    }
    return found;
  }

  private static Standing plain(PersonId person, State state, @Nullable Instant since) {
    return new Standing(person, state, since, null, "", false);
  }
}
