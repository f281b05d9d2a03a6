package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.routing.Route;

/** The ways to send a call on, and to bring two calls together. */
record Sending(Draft draft) {

  /** Single-step transfer. The caller stays with the sender whenever it is refused. */
  Refusal putThrough(Call call, Connection mine, Command.PutThrough c) {
    Refusal refusal = twoParties(call);
    if (refusal == null) {
      refusal = badTarget(call, c.person(), c.to());
    }
    if (refusal != null) {
      return refusal;
    }
    Party target = draft.party(c.to());
    Route route = draft.route(target, call);
    draft.clear(call.id(), mine, Cause.TRANSFERRED);
    draft.sendOn(call, new Call.Sent(c.person(), target, Call.Stage.TO_TARGET, null), route);
    return null;
  }

  Refusal deflect(Call call, Connection mine, Command.Deflect c) {
    if (!mine.rings()) {
      return Refusal.of(Reason.NOT_RINGING);
    }
    Refusal refusal = badTarget(call, c.person(), c.to());
    if (refusal != null) {
      return refusal;
    }
    Party target = draft.party(c.to());
    Route route = draft.route(target, call);
    for (Connection ringing : call.in(ConnectionState.ALERTING)) {
      draft.clear(call.id(), ringing, Cause.TRANSFERRED);
    }
    draft.sendOn(call, new Call.Sent(c.person(), target, Call.Stage.TO_TARGET, null), route);
    return null;
  }

  /** Refused before anything has changed: the caller stays where they are. */
  private Refusal badTarget(Call call, PersonId sender, Dialled to) {
    if (to instanceof Dialled.NotCallable no) {
      return Placing.notCallable(no);
    }
    Party target = draft.party(to);
    if (sender.equals(target.employee())) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    if (target instanceof Party.Emergency) {
      return Refusal.of(Reason.NOT_CALLABLE_FOR_OTHERS);
    }
    for (Connection connection : call.connections()) {
      if (connection.party().equals(target)) {
        return Refusal.of(Reason.SAME_PARTY);
      }
    }
    if (draft.route(target, call) instanceof Route.Refuse refuse) {
      return switch (refuse.cause()) {
        case NOT_SIGNED_IN -> Refusal.of(Reason.TARGET_NOT_SIGNED_IN);
        case BUSY -> Refusal.of(Reason.TARGET_BUSY);
        default -> Refusal.of(Reason.TARGET_NOT_IN_USE);
      };
    }
    boolean goesOut = target.usesOutsideLine();
    return goesOut && draft.state.outsideLinesTaken() >= draft.settings.outsideLines()
        ? Refusal.of(Reason.LINES_BUSY)
        : null;
  }

  Refusal pullBack(Call call, Command.PullBack c) {
    Call.Sent sent = call.sent();
    boolean mine = sent != null && sent.by().equals(c.person());
    if (!mine || sent.stage() != Call.Stage.TO_TARGET) {
      return Refusal.of(mine ? Reason.NOT_SENT_ON : Reason.NO_SUCH_CALL);
    }
    draft.holdActive(c.person());
    Party me = new Party.Employee(c.person());
    int leg = call.nextLeg();
    draft.emit(new ExchangeEvent.Delivered(call.id(), draft.now, leg, me, me, draft.now));
    draft.emit(new ExchangeEvent.Established(call.id(), draft.now, leg, c.device()));
    for (Connection other : call.connections()) {
      if (!other.answered()) {
        draft.clear(call.id(), other, Cause.ANSWERED_ELSEWHERE);
      }
    }
    return null;
  }

  /** Consultation: the caller is held, the target is called. */
  Refusal announce(Call call, Connection mine, Command.Announce c) {
    Refusal refusal = twoParties(call);
    if (refusal == null) {
      refusal = badTarget(call, c.person(), c.to());
    }
    if (refusal != null) {
      return refusal;
    }
    if (!mine.answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    return new Placing(draft)
        .place(c.announcement(), c.person(), c.device(), c.to(), c.callerId(), call.id());
  }

  /** The announcement ends, and the sender speaks with the caller again. */
  Refusal reconnect(Call announcement, Connection mine) {
    Call caller = announcement.announces() == null ? null : draft.call(announcement.announces());
    PersonId person = mine.party().employee();
    draft.gone(announcement, mine, Cause.NORMAL);
    Connection held = caller == null ? null : caller.of(person);
    if (held != null && held.state() == ConnectionState.HOLD) {
      draft.holdActive(person);
      draft.emit(new ExchangeEvent.Retrieved(caller.id(), draft.now, held.leg()));
    }
    return null;
  }

  /** Transfer: the two others speak with each other, or one hears it ring at the other. */
  Refusal handOver(Call call, Connection mine, Command.HandOver c) {
    Call other = draft.call(c.other());
    Refusal refusal = bothMine(call, mine, other, c.person());
    if (refusal != null) {
      return refusal;
    }
    Connection target = opposite(other, c.person());
    merge(call, other, target, c.person(), false);
    draft.clear(call.id(), mine, Cause.TRANSFERRED);
    leaveBehind(other.id());
    if (!target.answered()) {
      draft.emit(
          new ExchangeEvent.SentOn(
              call.id(),
              draft.now,
              new Call.Sent(c.person(), target.party(), Call.Stage.TO_TARGET, null)));
    }
    return null;
  }

  /** Conference of three. */
  Refusal join(Call call, Connection mine, Command.Join c) {
    Call other = draft.call(c.other());
    Refusal refusal = bothMine(call, mine, other, c.person());
    if (refusal == null && !opposite(other, c.person()).answered()) {
      refusal = Refusal.of(Reason.NOT_ANSWERED);
    }
    if (refusal != null) {
      return refusal;
    }
    merge(call, other, opposite(other, c.person()), c.person(), true);
    leaveBehind(other.id());
    if (mine.state() == ConnectionState.HOLD) {
      draft.holdActive(c.person());
      draft.emit(new ExchangeEvent.Retrieved(call.id(), draft.now, mine.leg()));
    }
    return null;
  }

  private void merge(Call call, Call other, Connection target, PersonId by, boolean stays) {
    draft.emit(
        new ExchangeEvent.Merged(
            call.id(), draft.now, other.id(), target.leg(), call.nextLeg(), by, stays));
  }

  /** The other call has nobody left in it but the one who joined the two. */
  private void leaveBehind(CallId other) {
    draft.end(draft.call(other), Cause.TRANSFERRED);
  }

  private Refusal bothMine(Call call, Connection mine, Call other, PersonId person) {
    if (other == null || other.id().equals(call.id()) || other.of(person) == null) {
      return Refusal.of(Reason.NO_OTHER_CALL);
    }
    Refusal refusal = twoParties(call);
    if (refusal != null) {
      return refusal;
    }
    if (!mine.answered() || !other.of(person).answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (other.failure() != null) {
      return Refusal.of(Reason.NOBODY_THERE);
    }
    if (other.connections().size() != 2 || other.sent() != null) {
      return Refusal.of(Reason.MORE_THAN_TWO);
    }
    Party target = opposite(other, person).party();
    return target.equals(opposite(call, person).party()) ? Refusal.of(Reason.SAME_PARTY) : null;
  }

  private static Connection opposite(Call call, PersonId person) {
    return call.connections().stream()
        .filter(connection -> !person.equals(connection.party().employee()))
        .findFirst()
        .orElseThrow();
  }

  private static Refusal twoParties(Call call) {
    if (!call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    return call.connections().size() == 2 ? null : Refusal.of(Reason.MORE_THAN_TWO);
  }
}
