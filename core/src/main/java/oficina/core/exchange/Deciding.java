package oficina.core.exchange;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.exchange.Decision.Accepted;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.PersonId;
import oficina.core.routing.Office;

/**
 * One decision: finds who is to decide on a command, after checking that it is the asker's call.
 */
final class Deciding {
  private final ExchangeState state;
  private final Draft draft;
  private final Handling handling;
  private final Sending sending;
  private final Placing placing;
  private final Parking parking;
  private final Conferencing conferencing;
  private final CallBacks callBacks;

  Deciding(ExchangeState state, Settings settings, Office office, Instant now) {
    this.state = state;
    draft = new Draft(state, settings, office, now);
    handling = new Handling(draft);
    sending = new Sending(draft);
    placing = new Placing(draft);
    parking = new Parking(draft);
    conferencing = new Conferencing(draft);
    callBacks = new CallBacks(draft);
  }

  Decision decide(Command command) {
    Refusal refusal = carryOut(command);
    if (refusal != null) {
      return refusal;
    }
    callBacks.advance();
    return new Accepted(draft.events());
  }

  private Refusal carryOut(Command command) {
    if (command instanceof Command.MakeCall c) {
      return placing.make(c);
    }
    if (command instanceof Command.PullBack c) {
      Call call = draft.call(c.call());
      return call == null ? Refusal.of(Reason.NO_SUCH_CALL) : sending.pullBack(call, c);
    }
    if (command instanceof Command.ByPerson c) {
      return byPerson(c);
    }
    if (command instanceof Command.PickUp c) {
      return handling.pickUp(c);
    }
    if (command instanceof Command.TakeParked c) {
      return parking.take(c);
    }
    if (command instanceof Command.CancelCallBack c) {
      return callBacks.cancel(c);
    }
    if (command instanceof Command.Arrive c) {
      return placing.arrive(c);
    }
    if (command instanceof Command.NetworkRings c) {
      return byNetwork(c.call(), c.leg(), this::networkRings);
    }
    if (command instanceof Command.NetworkAnswers c) {
      return byNetwork(c.call(), c.leg(), this::networkAnswers);
    }
    if (command instanceof Command.NetworkFails c) {
      return byNetwork(c.call(), c.leg(), (call, leg) -> draft.gone(call, leg, c.cause()));
    }
    if (command instanceof Command.NetworkClears c) {
      return byNetwork(c.call(), c.leg(), (call, leg) -> draft.gone(call, leg, Cause.NORMAL));
    }
    state.dueBy(draft.now).forEach(this::timeIsUp);
    return null;
  }

  private Refusal byPerson(Command.ByPerson command) {
    Call call = draft.call(command.call());
    if (call == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Connection mine = call.of(command.person());
    if (mine == null) {
      return notMine(call, command.person());
    }
    if (command instanceof Command.Answer c) {
      return handling.answer(call, mine, c);
    }
    if (command instanceof Command.Decline) {
      return handling.decline(call, mine);
    }
    if (command instanceof Command.Silence) {
      return handling.silence(call, mine);
    }
    if (command instanceof Command.Clear) {
      return handling.clear(call, mine);
    }
    if (command instanceof Command.Hold) {
      return handling.hold(call, mine);
    }
    if (command instanceof Command.Retrieve) {
      return handling.retrieve(call, mine);
    }
    if (command instanceof Command.Mute c) {
      return handling.mute(call, mine, c.on());
    }
    if (command instanceof Command.PutThrough c) {
      return sending.putThrough(call, mine, c);
    }
    if (command instanceof Command.Deflect c) {
      return sending.deflect(call, mine, c);
    }
    if (command instanceof Command.Announce c) {
      return sending.announce(call, mine, c);
    }
    if (command instanceof Command.HandOver c) {
      return sending.handOver(call, mine, c);
    }
    if (command instanceof Command.Park c) {
      return parking.park(call, mine, c);
    }
    if (command instanceof Command.MoveHere c) {
      return handling.moveHere(call, mine, c);
    }
    if (command instanceof Command.RequestCallBack c) {
      return callBacks.request(call, c);
    }
    return byMember(call, mine, command);
  }

  private Refusal byMember(Call call, Connection mine, Command.ByPerson command) {
    if (command instanceof Command.Join c) {
      return conferencing.join(call, mine, c);
    }
    if (command instanceof Command.TakeAside c) {
      return conferencing.takeAside(call, mine, c);
    }
    if (command instanceof Command.MuteMember c) {
      return conferencing.muteMember(call, mine, c);
    }
    if (command instanceof Command.Drop c) {
      return conferencing.drop(call, mine, c);
    }
    if (command instanceof Command.EndForAll) {
      return conferencing.endForAll(call, mine);
    }
    if (command instanceof Command.Reconnect) {
      return sending.reconnect(call, mine);
    }
    return handling.sendDigits(call, mine, ((Command.SendDigits) command).digits());
  }

  /** Somebody without a part in the call learns nothing of it, unless it has just rung for them. */
  private static Refusal notMine(Call call, PersonId person) {
    if (call.rang().contains(person)) {
      for (Connection connection : call.connections()) {
        PersonId other = connection.party().employee();
        if (other != null && connection.answered() && !connection.party().equals(call.caller())) {
          return Refusal.answeredBy(other);
        }
      }
    }
    return Refusal.of(Reason.NO_SUCH_CALL);
  }

  // --- what the network reports ---------------------------------------------------------------

  private interface OnLeg {
    void happens(Call call, Connection leg);
  }

  private Refusal byNetwork(CallId id, int leg, OnLeg what) {
    Call call = draft.call(id);
    Connection connection = call == null ? null : call.leg(leg);
    if (connection == null || !connection.party().usesOutsideLine()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    what.happens(call, connection);
    return null;
  }

  private void networkRings(Call call, Connection leg) {
    if (leg.state() == ConnectionState.INITIATED) {
      draft.emit(
          new ExchangeEvent.Delivered(
              call.id(), draft.now, leg.leg(), leg.party(), leg.line(), leg.due()));
    }
  }

  private void networkAnswers(Call call, Connection leg) {
    if (leg.answered()) {
      return;
    }
    draft.establish(call, leg, null);
    if (!call.afterAnswer().isEmpty()) {
      draft.emit(new ExchangeEvent.DigitsSent(call.id(), draft.now, leg.leg(), call.afterAnswer()));
    }
  }

  // --- what time brings -----------------------------------------------------------------------

  private void timeIsUp(CallId id) {
    Call call = draft.call(id);
    if (call == null) {
      callBacks.expired(id);
      return;
    }
    if (call.waitsInSlot() && !call.parked().until().isAfter(draft.now)) {
      draft.comeBack(call);
      return;
    }
    if (call.failure() != null && !call.failure().until().isAfter(draft.now)) {
      draft.end(call, call.failure().cause());
      return;
    }
    for (Connection connection : call.connections()) {
      if (connection.due() == null || connection.due().isAfter(draft.now)) {
        continue;
      }
      if (connection.state() == ConnectionState.HOLD) {
        draft.emit(new ExchangeEvent.HoldReminded(id, draft.now, connection.leg()));
      } else {
        draft.gone(draft.call(id), connection, Cause.NO_ANSWER);
      }
    }
  }
}
