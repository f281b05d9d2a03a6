package oficina.core.services;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.commands.ConferenceCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Refusals;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** Bringing people together, and ordering who is heard. */
public final class Conferencing {
  private final Draft draft;
  private final Clearing clearing;
  private final Answering answering;

  /** For one decision. */
  public Conferencing(Consequences then) {
    draft = then.draft();
    clearing = then.clearing();
    answering = then.answering();
  }

  /** The others of both calls speak with each other and with the person. */
  public @Nullable Refusal join(Call call, Connection mine, CallId otherId) {
    PersonId person = mine.party().employee();
    Call other = draft.call(otherId);
    Refusal refusal = mayJoin(call, mine, other);
    if (refusal != null) {
      return refusal;
    }
    for (Connection moving : other.others(person)) {
      draft.emit(
          new TalkEvent.Merged(
              call.id(),
              draft.now,
              other.id(),
              moving.leg(),
              draft.call(call.id()).nextLeg(),
              person,
              /* stays= */ true));
    }
    clearing.end(draft.call(other.id()), Cause.TRANSFERRED);
    if (mine.state() == ConnectionState.HOLD) {
      answering.holdActive(person);
      draft.emit(new TalkEvent.Retrieved(call.id(), draft.now, mine.leg()));
    }
    return null;
  }

  /** Refused unless all have answered, nobody is in both, and there is room for them. */
  public @Nullable Refusal mayJoin(Call call, Connection mine, @Nullable Call other) {
    PersonId person = mine.party().employee();
    if (other == null || other.id().equals(call.id()) || other.of(person) == null) {
      return Refusal.of(Reason.NO_OTHER_CALL);
    }
    if (other.failure() != null) {
      return Refusal.of(Reason.NOBODY_THERE);
    }
    boolean settled = call.settled() && other.settled();
    if (!settled || !mine.answered() || !other.of(person).answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    for (Connection each : other.others(person)) {
      if (call.connections().stream().anyMatch(there -> there.party().isSurely(each.party()))) {
        return Refusal.of(Reason.SAME_PARTY);
      }
    }
    int limit = draft.settings().limits().conferenceParties();
    return call.parties() + other.parties() - 1 > limit
        ? Refusal.of(Reason.CONFERENCE_FULL, limit)
        : null;
  }

  /** A word with one member alone: the conference goes on without the two. */
  public @Nullable Refusal takeAside(Call call, Connection mine, ConferenceCommand.TakeAside c) {
    Refusal refusal = orders(call, mine, c.leg());
    if (refusal != null) {
      return refusal;
    }
    Connection member = call.leg(c.leg());
    if (member.state() != ConnectionState.CONNECTED) {
      return Refusal.of(Reason.NOT_ACTIVE);
    }
    if (draft.call(c.aside()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    refusal = Refusals.handsFull(draft, c.person());
    if (refusal != null) {
      return refusal;
    }
    answering.holdActive(c.person());
    CallId aside = c.aside();
    draft.emit(
        new ReachEvent.Originated(
            aside,
            draft.now,
            1,
            mine.party(),
            member.party(),
            c.device(),
            CallerId.WITHHELD,
            "",
            null,
            call.id(),
            List.of()));
    draft.emit(
        new TalkEvent.Merged(
            aside, draft.now, call.id(), c.leg(), 2, c.person(), /* stays= */ true));
    return null;
  }

  /** A member is heard by nobody, or again. */
  public @Nullable Refusal muteMember(Call call, Connection mine, ConferenceCommand.MuteMember c) {
    Refusal refusal = orders(call, mine, c.leg());
    if (refusal == null && call.leg(c.leg()).muted() != c.on()) {
      draft.emit(new TalkEvent.Muted(call.id(), draft.now, c.leg(), c.on()));
    }
    return refusal;
  }

  /** A member is put out of the conference. */
  public @Nullable Refusal drop(Call call, Connection mine, ConferenceCommand.Drop c) {
    Refusal refusal = orders(call, mine, c.leg());
    if (refusal == null) {
      clearing.gone(call, call.leg(c.leg()), Cause.DROPPED);
    }
    return refusal;
  }

  /** Refused unless this person began the conference. */
  public static @Nullable Refusal mayEndForAll(Call call, Connection mine) {
    boolean starter = mine.party().employee().equals(call.starter());
    return starter ? null : Refusal.of(Reason.NOT_STARTER);
  }

  /** The conference is over for everybody. */
  public @Nullable Refusal endForAll(Call call, Connection mine) {
    Refusal refusal = mayEndForAll(call, mine);
    if (refusal == null) {
      clearing.clear(call.id(), mine, Cause.NORMAL); // first, as the one who hangs up
      for (Connection other : draft.call(call.id()).connections()) {
        clearing.clear(call.id(), other, Cause.ENDED_FOR_ALL);
      }
      clearing.end(draft.call(call.id()), Cause.NORMAL);
    }
    return refusal;
  }

  /** Whether this person may order this member; they themselves are no member in this. */
  private static @Nullable Refusal orders(Call call, Connection mine, int leg) {
    if (!call.conference()) {
      return Refusal.of(Reason.NO_SUCH_MEMBER); // whoever was the third has just gone
    }
    Refusal refusal = mayEndForAll(call, mine);
    if (refusal != null) {
      return refusal;
    }
    List<Connection> members = call.others(mine.party().employee());
    return members.stream().anyMatch(member -> member.leg() == leg)
        ? null
        : Refusal.of(Reason.NO_SUCH_MEMBER);
  }
}
