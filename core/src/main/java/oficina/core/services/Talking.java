package oficina.core.services;

import oficina.core.call.DeviceId;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.events.TalkEvent;
import oficina.core.machines.Attendants;
import oficina.core.machines.Mailboxes;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** What one does while one speaks: hold, mute, keys, and going on at another device. */
public final class Talking {
  private final Draft draft;
  private final Answering answering;
  private final Mailboxes mailboxes;

  /** For one decision. */
  public Talking(Consequences then, Mailboxes mailboxes) {
    draft = then.draft();
    answering = then.answering();
    this.mailboxes = mailboxes;
  }

  /** Goes on with the call at this device. */
  public void move(Call call, Connection mine, DeviceId device) {
    draft.emit(new TalkEvent.Moved(call.id(), draft.now, mine.leg(), device));
    if (!mine.attended()) { // whoever moves it is there
      draft.emit(new TalkEvent.Unattended(call.id(), draft.now, mine.leg(), null));
    }
  }

  /** Refused unless this person speaks with somebody. */
  public @Nullable Refusal mayHold(Call call, Connection mine) {
    if (!call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    return mine.state() == ConnectionState.CONNECTED ? null : Refusal.of(Reason.NOT_ACTIVE);
  }

  /** The others hear music. */
  public @Nullable Refusal hold(Call call, Connection mine) {
    Refusal refusal = mayHold(call, mine);
    if (refusal == null) {
      answering.hold(call, mine);
    }
    return refusal;
  }

  /** Refused unless this person holds it. */
  public @Nullable Refusal mayRetrieve(Connection mine) {
    return mine.state() == ConnectionState.HOLD ? null : Refusal.of(Reason.NOT_HELD);
  }

  /** Speaks again with whom one held; any other call in hand is held. */
  public @Nullable Refusal retrieve(Call call, Connection mine) {
    Refusal refusal = mayRetrieve(mine);
    if (refusal == null) {
      answering.holdActive(mine.party().employee());
      draft.emit(new TalkEvent.Retrieved(call.id(), draft.now, mine.leg()));
    }
    return refusal;
  }

  /** Refused unless this person speaks with somebody. */
  public @Nullable Refusal mayMute(Call call, Connection mine) {
    return mine.answered() && call.conversation() ? null : Refusal.of(Reason.NOT_ANSWERED);
  }

  /** Nobody hears this person, or all do again. */
  public @Nullable Refusal mute(Call call, Connection mine, boolean on) {
    Refusal refusal = mayMute(call, mine);
    if (refusal == null && mine.muted() != on) {
      draft.emit(new TalkEvent.Muted(call.id(), draft.now, mine.leg(), on));
    }
    return refusal;
  }

  /** Refused unless somebody in the call understands keys. */
  public @Nullable Refusal maySendDigits(Call call, Connection mine) {
    if (mine.state() == ConnectionState.CONNECTED && call.mailbox() != null) {
      return null;
    }
    if (mine.state() != ConnectionState.CONNECTED || !call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    boolean understood = outsider(call) != null || Attendants.in(call) != null;
    return understood ? null : Refusal.of(Reason.NO_DIGITS_INSIDE);
  }

  /** Presses keys in the call: of {@code 0-9 A-D * #}, and {@code p} for a pause (RFC 3966). */
  public @Nullable Refusal sendDigits(Call call, Connection mine, String digits) {
    if (!digits.matches("[0-9A-D*#p]{1,32}")) {
      return Refusal.of(Reason.NOT_DIGITS);
    }
    Refusal refusal = maySendDigits(call, mine);
    if (refusal == null) {
      draft.passOn(call, digits);
    }
    if (refusal == null && call.mailbox() != null) {
      mailboxes.keys(call, call.mailbox(), digits);
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
