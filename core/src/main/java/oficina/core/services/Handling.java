package oficina.core.services;

import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.events.ReachEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.OutsidePhone;
import org.jspecify.annotations.Nullable;

/**
 * What an employee does with a call that rings or is in hand, short of speaking in it and sending
 * it anywhere.
 */
public final class Handling {
  private final Draft draft;
  private final Clearing clearing;
  private final Answering answering;
  private final CallBacks callBacks;
  private final OutsidePhones phones;
  private final Talking talking;

  /** For one decision. */
  public Handling(Consequences then, CallBacks callBacks, OutsidePhones phones, Talking talking) {
    draft = then.draft();
    clearing = then.clearing();
    answering = then.answering();
    this.callBacks = callBacks;
    this.phones = phones;
    this.talking = talking;
  }

  /** Refused unless it rings here. */
  public @Nullable Refusal mayAnswer(Call call, Connection mine) {
    if (mine.rings()) {
      return null;
    }
    boolean placed = mine.party().equals(call.caller());
    return Refusal.of(placed ? Reason.NOT_RINGING : Reason.ANSWERED_HERE);
  }

  /** Speaks with whoever calls; any other call in hand is held. */
  public @Nullable Refusal answer(Call call, Connection mine, CallCommand.Answer c) {
    Refusal refusal = mayAnswer(call, mine);
    if (refusal != null) {
      return refusal;
    }
    answering.holdActive(c.person());
    if (call.ringsBackAt(mine)) {
      callBacks.answered(call, mine, c.device());
    } else {
      answering.establish(call, mine, c.device());
    }
    return null;
  }

  /** Refused before it was answered. */
  public @Nullable Refusal mayMove(Connection mine) {
    return mine.answered() ? null : Refusal.of(Reason.NOT_ANSWERED);
  }

  /** Goes on with the call on this device. A telephone outside is rung first. */
  public @Nullable Refusal moveHere(Call call, Connection mine, DeviceId device) {
    Refusal refusal = mayMove(mine);
    if (refusal != null) {
      return refusal;
    }
    boolean moves = !device.equals(mine.device());
    PersonId person = mine.party().employee();
    if (device.isOutside() && !phones.isThere(person)) {
      return moves ? phones.ringToMove(person, call) : null;
    }
    OutsidePhone awaited = phones.awaited(person, call);
    if (moves) {
      talking.move(call, mine, device);
    }
    if (awaited != null) {
      phones.giveUp(awaited);
    }
    if (awaited != null && awaited.places()) {
      phones.place(draft.call(call.id()));
    }
    return null;
  }

  /** Refused unless it rings here. */
  public @Nullable Refusal mayDecline(Connection mine) {
    return mine.rings() ? null : Refusal.of(Reason.NOT_RINGING);
  }

  /** It goes on as the rules say; elsewhere it rings on. */
  public @Nullable Refusal decline(Call call, Connection mine) {
    Refusal refusal = mayDecline(mine);
    if (refusal == null) {
      clearing.gone(call, mine, Cause.DECLINED);
    }
    return refusal;
  }

  /** It rings on without a sound. */
  public @Nullable Refusal silence(Call call, Connection mine) {
    Refusal refusal = mayDecline(mine);
    if (refusal == null && !mine.silenced()) {
      draft.emit(new ReachEvent.Silenced(call.id(), draft.now, mine.leg()));
    }
    return refusal;
  }

  /** Leaves the call, or turns it away where it rings. */
  public @Nullable Refusal clear(Call call, Connection mine) {
    clearing.gone(call, mine, mine.rings() ? Cause.DECLINED : Cause.NORMAL);
    return null;
  }
}
