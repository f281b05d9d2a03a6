package oficina.core.exchange;

import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.OutsidePhone;
import org.jspecify.annotations.Nullable;

/**
 * What an employee does with a call that rings or is in hand, short of sending it anywhere. What
 * begins with {@code may} says only whether it would be refused, and {@link Offering} asks the
 * same.
 */
record Handling(Draft draft) {

  @Nullable Refusal mayAnswer(Call call, Connection mine) {
    if (mine.rings()) {
      return null;
    }
    boolean placed = mine.party().equals(call.caller());
    return Refusal.of(placed ? Reason.NOT_RINGING : Reason.ANSWERED_HERE);
  }

  @Nullable Refusal answer(Call call, Connection mine, CallCommand.Answer c) {
    Refusal refusal = mayAnswer(call, mine);
    if (refusal != null) {
      return refusal;
    }
    draft.holdActive(c.person());
    if (call.ringsBackAt(mine)) {
      new CallBacks(draft).answered(call, mine, c.device());
    } else {
      draft.establish(call, mine, c.device());
    }
    return null;
  }

  @Nullable Refusal mayMove(Connection mine) {
    return mine.answered() ? null : Refusal.of(Reason.NOT_ANSWERED);
  }

  /** Goes on with the call on this device. A telephone outside is rung first. */
  @Nullable Refusal moveHere(Call call, Connection mine, DeviceId device) {
    Refusal refusal = mayMove(mine);
    if (refusal != null) {
      return refusal;
    }
    boolean moves = !device.equals(mine.device());
    PersonId person = mine.party().employee();
    OutsidePhones phones = new OutsidePhones(draft);
    if (device.isOutside() && !phones.isThere(person)) {
      return moves ? phones.ringToMove(person, call) : null;
    }
    OutsidePhone awaited = phones.awaited(person, call);
    if (moves) {
      move(call, mine, device);
    }
    if (awaited != null) {
      phones.giveUp(awaited);
    }
    if (awaited != null && awaited.places()) {
      phones.place(draft.call(call.id()));
    }
    return null;
  }

  void move(Call call, Connection mine, DeviceId device) {
    draft.emit(new TalkEvent.Moved(call.id(), draft.now, mine.leg(), device));
    if (!mine.attended()) { // whoever moves it is there
      draft.emit(new TalkEvent.Unattended(call.id(), draft.now, mine.leg(), null));
    }
  }

  @Nullable Refusal mayDecline(Connection mine) {
    return mine.rings() ? null : Refusal.of(Reason.NOT_RINGING);
  }

  @Nullable Refusal decline(Call call, Connection mine) {
    Refusal refusal = mayDecline(mine);
    if (refusal == null) {
      draft.gone(call, mine, Cause.DECLINED);
    }
    return refusal;
  }

  @Nullable Refusal silence(Call call, Connection mine) {
    Refusal refusal = mayDecline(mine);
    if (refusal == null && !mine.silenced()) {
      draft.emit(new ReachEvent.Silenced(call.id(), draft.now, mine.leg()));
    }
    return refusal;
  }

  @Nullable Refusal clear(Call call, Connection mine) {
    draft.gone(call, mine, mine.rings() ? Cause.DECLINED : Cause.NORMAL);
    return null;
  }

  @Nullable Refusal mayHold(Call call, Connection mine) {
    if (!call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    return mine.state() == ConnectionState.CONNECTED ? null : Refusal.of(Reason.NOT_ACTIVE);
  }

  @Nullable Refusal hold(Call call, Connection mine) {
    Refusal refusal = mayHold(call, mine);
    if (refusal == null) {
      draft.hold(call, mine);
    }
    return refusal;
  }

  @Nullable Refusal mayRetrieve(Connection mine) {
    return mine.state() == ConnectionState.HOLD ? null : Refusal.of(Reason.NOT_HELD);
  }

  @Nullable Refusal retrieve(Call call, Connection mine) {
    Refusal refusal = mayRetrieve(mine);
    if (refusal == null) {
      draft.holdActive(mine.party().employee());
      draft.emit(new TalkEvent.Retrieved(call.id(), draft.now, mine.leg()));
    }
    return refusal;
  }

  @Nullable Refusal mayMute(Call call, Connection mine) {
    return mine.answered() && call.conversation() ? null : Refusal.of(Reason.NOT_ANSWERED);
  }

  @Nullable Refusal mute(Call call, Connection mine, boolean on) {
    Refusal refusal = mayMute(call, mine);
    if (refusal == null && mine.muted() != on) {
      draft.emit(new TalkEvent.Muted(call.id(), draft.now, mine.leg(), on));
    }
    return refusal;
  }

  @Nullable Refusal maySendDigits(Call call, Connection mine) {
    if (mine.state() == ConnectionState.CONNECTED && call.mailbox() != null) {
      return null;
    }
    if (mine.state() != ConnectionState.CONNECTED || !call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    boolean understood = outsider(call) != null || Attendants.in(call) != null;
    return understood ? null : Refusal.of(Reason.NO_DIGITS_INSIDE);
  }

  @Nullable Refusal sendDigits(Call call, Connection mine, String digits) {
    if (!digits.matches("[0-9A-D*#p]{1,32}")) {
      return Refusal.of(Reason.NOT_DIGITS);
    }
    Refusal refusal = maySendDigits(call, mine);
    if (refusal == null && call.mailbox() != null) {
      new Mailboxes(draft).keys(call, call.mailbox(), digits);
    } else if (refusal == null && outsider(call) != null) {
      // What an attendant is told, as a secret number, is in no event: nobody else is to know it.
      int leg = outsider(call).leg();
      draft.emit(new TalkEvent.DigitsSent(call.id(), draft.now, leg, digits));
    }
    return refusal;
  }

  private static @Nullable Connection outsider(Call call) {
    return call.connections().stream()
        .filter(connection -> connection.party().usesOutsideLine())
        .findFirst()
        .orElse(null);
  }
}
