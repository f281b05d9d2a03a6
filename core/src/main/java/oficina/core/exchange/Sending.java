package oficina.core.exchange;

import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.routing.Route;

/** The ways to send a call on. */
record Sending(Draft draft) {

  /** Single-step transfer. The caller stays with the sender whenever it is refused. */
  Refusal putThrough(Call call, Connection mine, Command.PutThrough c) {
    Refusal refusal = twoParties(call);
    if (refusal == null && c.to() instanceof Dialled.NotCallable no) {
      refusal = Placing.notCallable(no);
    }
    if (refusal != null) {
      return refusal;
    }
    Party target = draft.party(c.to());
    if (target instanceof Party.Slot slot) {
      return new Parking(draft)
          .park(call, mine, new Command.Park(call.id(), c.person(), slot.number(), null, ""));
    }
    refusal = badTarget(call, c.person(), c.to());
    if (refusal != null) {
      return refusal;
    }
    Route route = draft.route(target, call);
    draft.clear(call.id(), mine, Cause.TRANSFERRED);
    draft.sendOn(call, new Call.Sent(c.person(), target, Call.Stage.TO_TARGET, null), route);
    return null;
  }

  Refusal deflect(Call call, Connection mine, Command.Deflect c) {
    if (!mine.rings() || mine.party().equals(call.caller())) {
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
    if (target instanceof Party.Slot) {
      return Refusal.of(Reason.NOT_TO_A_SLOT);
    }
    for (Connection connection : call.connections()) {
      if (connection.party().isSurely(target)) {
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
    draft.join(call, c.person(), new Party.Employee(c.person()), c.device());
    return null;
  }

  /** Consultation: the caller, or the conference, is held and the target is called. */
  Refusal announce(Call call, Connection mine, Command.Announce c) {
    if (!settled(call) || !mine.answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    Refusal refusal = badTarget(call, c.person(), c.to());
    if (refusal != null) {
      return refusal;
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
    draft.emit(
        new ExchangeEvent.Merged(
            call.id(),
            draft.now,
            other.id(),
            target.leg(),
            call.nextLeg(),
            c.person(),
            /* stays= */ false));
    draft.clear(call.id(), mine, Cause.TRANSFERRED);
    draft.end(draft.call(other.id()), Cause.TRANSFERRED);
    if (!target.answered()) {
      draft.emit(
          new ExchangeEvent.SentOn(
              call.id(),
              draft.now,
              new Call.Sent(c.person(), target.party(), Call.Stage.TO_TARGET, null)));
    }
    return null;
  }

  private Refusal bothMine(Call call, Connection mine, Call other, PersonId person) {
    if (other == null || other.id().equals(call.id()) || other.of(person) == null) {
      return Refusal.of(Reason.NO_OTHER_CALL);
    }
    if (!settled(call) || !mine.answered() || !other.of(person).answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (other.failure() != null) {
      return Refusal.of(Reason.NOBODY_THERE);
    }
    if (other.sent() != null) {
      return Refusal.of(Reason.NOT_ANSWERED); // whoever was called has sent it on: who will answer?
    }
    if (other.connections().size() != 2) {
      return Refusal.of(Reason.MORE_THAN_TWO);
    }
    Connection target = opposite(other, person);
    if (call.conference() && !target.answered()) {
      return Refusal.of(Reason.NOT_ANSWERED); // nobody of a conference can wait while it rings
    }
    boolean there = call.connections().stream().anyMatch(c -> c.party().isSurely(target.party()));
    return there ? Refusal.of(Reason.SAME_PARTY) : null;
  }

  /** Everybody else in the call. */
  static List<Connection> others(Call call, PersonId person) {
    return call.connections().stream()
        .filter(connection -> !person.equals(connection.party().employee()))
        .toList();
  }

  static Connection opposite(Call call, PersonId person) {
    return others(call, person).get(0);
  }

  /** Whether everybody in the call has answered it and at least two are there. */
  static boolean settled(Call call) {
    return call.conversation() && call.parties() == call.connections().size();
  }

  static Refusal twoParties(Call call) {
    if (!call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    return call.connections().size() == 2 ? null : Refusal.of(Reason.MORE_THAN_TWO);
  }
}
