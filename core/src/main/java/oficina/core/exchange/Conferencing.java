package oficina.core.exchange;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.PersonId;

/** Bringing people together, and ordering who is heard. */
record Conferencing(Draft draft) {

  /** The others of both calls speak with each other and with the person. */
  Refusal join(Call call, Connection mine, Command.Join c) {
    Call other = draft.call(c.other());
    Refusal refusal = joinable(call, mine, other, c.person());
    if (refusal != null) {
      return refusal;
    }
    for (Connection moving : Sending.others(other, c.person())) {
      draft.emit(
          new ExchangeEvent.Merged(
              call.id(),
              draft.now,
              other.id(),
              moving.leg(),
              draft.call(call.id()).nextLeg(),
              c.person(),
              /* stays= */ true));
    }
    draft.end(draft.call(other.id()), Cause.TRANSFERRED);
    if (mine.state() == ConnectionState.HOLD) {
      draft.holdActive(c.person());
      draft.emit(new ExchangeEvent.Retrieved(call.id(), draft.now, mine.leg()));
    }
    return null;
  }

  private Refusal joinable(Call call, Connection mine, Call other, PersonId person) {
    if (other == null || other.id().equals(call.id()) || other.of(person) == null) {
      return Refusal.of(Reason.NO_OTHER_CALL);
    }
    if (other.failure() != null) {
      return Refusal.of(Reason.NOBODY_THERE);
    }
    boolean settled = Sending.settled(call) && Sending.settled(other);
    if (!settled || !mine.answered() || !other.of(person).answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    for (Connection each : Sending.others(other, person)) {
      if (call.connections().stream().anyMatch(there -> there.party().isSurely(each.party()))) {
        return Refusal.of(Reason.SAME_PARTY);
      }
    }
    int limit = draft.settings.conferenceLimit();
    return call.parties() + other.parties() - 1 > limit
        ? Refusal.of(Reason.CONFERENCE_FULL, "limit", Integer.toString(limit))
        : null;
  }

  /** A word with one member alone: the conference goes on without the two. */
  Refusal takeAside(Call call, Connection mine, Command.TakeAside c) {
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
    int limit = draft.settings.callsInHand();
    if (draft.state.inHand(c.person()).size() >= limit) {
      return Refusal.of(Reason.TOO_MANY_CALLS, "limit", Integer.toString(limit));
    }
    draft.holdActive(c.person());
    CallId aside = c.aside();
    draft.emit(
        new ExchangeEvent.Originated(
            aside,
            draft.now,
            1,
            mine.party(),
            member.party(),
            c.device(),
            CallerId.WITHHELD,
            "",
            call.id()));
    draft.emit(
        new ExchangeEvent.Merged(
            aside, draft.now, call.id(), c.leg(), 2, c.person(), /* stays= */ true));
    return null;
  }

  Refusal muteMember(Call call, Connection mine, Command.MuteMember c) {
    Refusal refusal = orders(call, mine, c.leg());
    if (refusal == null && call.leg(c.leg()).muted() != c.on()) {
      draft.emit(new ExchangeEvent.Muted(call.id(), draft.now, c.leg(), c.on()));
    }
    return refusal;
  }

  Refusal drop(Call call, Connection mine, Command.Drop c) {
    Refusal refusal = orders(call, mine, c.leg());
    if (refusal == null) {
      draft.gone(call, call.leg(c.leg()), Cause.DROPPED);
    }
    return refusal;
  }

  Refusal endForAll(Call call, Connection mine) {
    if (!mine.party().employee().equals(call.starter())) {
      return Refusal.of(Reason.NOT_STARTER);
    }
    draft.clear(call.id(), mine, Cause.NORMAL); // first, as the one who hangs up
    draft.end(draft.call(call.id()), Cause.NORMAL);
    return null;
  }

  /** Whether this person may order this member; they themselves are no member in this. */
  private static Refusal orders(Call call, Connection mine, int leg) {
    if (!mine.party().employee().equals(call.starter())) {
      return Refusal.of(Reason.NOT_STARTER);
    }
    List<Connection> members = Sending.others(call, mine.party().employee());
    return members.stream().anyMatch(member -> member.leg() == leg)
        ? null
        : Refusal.of(Reason.NO_SUCH_MEMBER);
  }
}
