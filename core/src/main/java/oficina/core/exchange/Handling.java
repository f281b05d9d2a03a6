package oficina.core.exchange;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.Objects;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.PersonId;

/** What an employee does with a call that rings or is in hand, short of sending it anywhere. */
record Handling(Draft draft) {
  private static final Duration JUST_NOW = Duration.ofSeconds(10);

  Refusal answer(Call call, Connection mine, Command.Answer c) {
    if (!mine.rings()) {
      boolean placed = mine.party().equals(call.caller());
      return Refusal.of(placed ? Reason.NOT_RINGING : Reason.ANSWERED_HERE);
    }
    draft.holdActive(c.person());
    if (mine.party().equals(call.caller())) {
      new CallBacks(draft).answered(call, mine, c.device());
    } else {
      draft.establish(call, mine, c.device());
    }
    return null;
  }

  /** Goes on with the call on this device. */
  Refusal moveHere(Call call, Connection mine, Command.MoveHere c) {
    if (!mine.answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (!c.device().equals(mine.device())) {
      draft.emit(new ExchangeEvent.Moved(call.id(), draft.now, mine.leg(), c.device()));
    }
    return null;
  }

  Refusal decline(Call call, Connection mine) {
    if (!mine.rings()) {
      return Refusal.of(Reason.NOT_RINGING);
    }
    draft.gone(call, mine, Cause.DECLINED);
    return null;
  }

  Refusal silence(Call call, Connection mine) {
    if (!mine.rings()) {
      return Refusal.of(Reason.NOT_RINGING);
    }
    if (!mine.silenced()) {
      draft.emit(new ExchangeEvent.Silenced(call.id(), draft.now, mine.leg()));
    }
    return null;
  }

  Refusal clear(Call call, Connection mine) {
    draft.gone(call, mine, mine.rings() ? Cause.DECLINED : Cause.NORMAL);
    return null;
  }

  Refusal hold(Call call, Connection mine) {
    if (!call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (mine.state() != ConnectionState.CONNECTED) {
      return Refusal.of(Reason.NOT_ACTIVE);
    }
    draft.hold(call, mine);
    return null;
  }

  Refusal retrieve(Call call, Connection mine) {
    if (mine.state() != ConnectionState.HOLD) {
      return Refusal.of(Reason.NOT_HELD);
    }
    draft.holdActive(mine.party().employee());
    draft.emit(new ExchangeEvent.Retrieved(call.id(), draft.now, mine.leg()));
    return null;
  }

  Refusal mute(Call call, Connection mine, boolean on) {
    if (!mine.answered() || !call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (mine.muted() != on) {
      draft.emit(new ExchangeEvent.Muted(call.id(), draft.now, mine.leg(), on));
    }
    return null;
  }

  Refusal sendDigits(Call call, Connection mine, String digits) {
    if (!digits.matches("[0-9A-D*#p]{1,32}")) {
      return Refusal.of(Reason.NOT_DIGITS);
    }
    if (mine.state() != ConnectionState.CONNECTED || !call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    for (Connection connection : call.connections()) {
      if (connection.party().usesOutsideLine()) {
        draft.emit(new ExchangeEvent.DigitsSent(call.id(), draft.now, connection.leg(), digits));
        return null;
      }
    }
    return Refusal.of(Reason.NO_DIGITS_INSIDE);
  }

  /** Takes the call that has been ringing longest at one of these people. */
  Refusal pickUp(Command.PickUp c) {
    Call call =
        c.from().stream()
            .filter(person -> !person.equals(c.person()))
            .flatMap(
                person -> draft.state.inHand(person).stream().filter(id -> ringsAt(id, person)))
            .distinct()
            .map(draft::call)
            .filter(Objects::nonNull)
            .min(Comparator.comparing(Handling::ringsSince).thenComparing(Call::id))
            .orElse(null);
    if (call == null) {
      return justTaken(c);
    }
    if (c.person().equals(call.caller().employee())) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    Connection mine = call.of(c.person());
    if (mine != null && !mine.rings()) {
      return Refusal.of(Reason.SAME_PARTY);
    }
    draft.join(call, c.person(), call.in(ConnectionState.ALERTING).get(0).line(), c.device());
    return null;
  }

  /** Whoever comes a moment too late is told who was quicker. */
  private Refusal justTaken(Command.PickUp c) {
    Instant recently = draft.now.minus(JUST_NOW);
    return draft.state.beneath().calls().stream()
        .filter(call -> c.from().stream().anyMatch(call.rang()::contains))
        .map(Call::lastToAnswer)
        .filter(last -> last != null && last.since().isAfter(recently))
        .max(Comparator.comparing(Connection::since).thenComparing(Connection::leg))
        .map(last -> Refusal.answeredBy(last.party().employee()))
        .orElse(Refusal.of(Reason.NOTHING_RINGS));
  }

  /** Not a call back: that rings at its caller, and is for nobody else. */
  private boolean ringsAt(CallId id, PersonId person) {
    Connection there = draft.call(id).of(person);
    return there.rings() && !there.party().equals(draft.call(id).caller());
  }

  private static Instant ringsSince(Call call) {
    return call.in(ConnectionState.ALERTING).get(0).since();
  }
}
