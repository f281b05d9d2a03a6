package oficina.core.machines;

import java.time.Instant;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.MessageEnd;
import oficina.core.call.Party;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Machines;
import oficina.core.draft.Refusals;
import oficina.core.events.MachineEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/**
 * Mailboxes answer in the place of their owner: greeting, tone, recording. What plays and records
 * reports how far it is; the timers here end each step without it.
 */
public final class Mailboxes {
  private static final String END_KEY = "#";

  private final Draft draft;
  private final Machines machines;
  private final Clearing clearing;
  private final Answering answering;

  /** For one decision. */
  public Mailboxes(Consequences then) {
    draft = then.draft();
    machines = then.machines();
    clearing = then.clearing();
    answering = then.answering();
  }

  // --- how far it is ----------------------------------------------------------------------------

  /** The greeting has been heard, or time for it is up: recording begins. */
  public void greetingOver(Call call, Connection mailbox) {
    if (mailbox.taking() == Connection.Taking.GREETING) {
      Instant until = draft.now.plus(draft.settings().voicemail().longest());
      draft.emit(new MachineEvent.RecordingBegan(call.id(), draft.now, mailbox.leg(), until));
    }
  }

  /** Somebody speaks: there is a message to keep. */
  public void sounds(Call call, Connection mailbox) {
    if (mailbox.taking() == Connection.Taking.RECORDING) {
      draft.emit(new MachineEvent.MessageHeard(call.id(), draft.now, mailbox.leg()));
    }
  }

  /** Nobody has spoken for long: the message is over. */
  public void silent(Call call, Connection mailbox) {
    if (mailbox.records()) {
      end(call, mailbox, MessageEnd.SILENCE);
    }
  }

  /** The greeting or the message has taken as long as it may. */
  public void timeIsUp(Call call, Connection mailbox) {
    if (mailbox.records()) {
      end(call, mailbox, MessageEnd.LIMIT);
    } else {
      greetingOver(call, mailbox);
    }
  }

  /** Keys pressed by the caller: one cuts the greeting short and ends the message. */
  public void keys(Call call, Connection mailbox, String digits) {
    draft.emit(new TalkEvent.DigitsSent(call.id(), draft.now, mailbox.leg(), digits));
    if (digits.contains(END_KEY) && mailbox.records()) {
      end(call, mailbox, MessageEnd.KEY);
    } else if (digits.contains(END_KEY)) {
      greetingOver(call, mailbox);
    }
  }

  private void end(Call call, Connection mailbox, MessageEnd how) {
    clearing.stopRecording(call.id(), mailbox, how);
    clearing.end(draft.call(call.id()), Cause.NORMAL);
  }

  // --- what people ask --------------------------------------------------------------------------

  /** A call for which a mailbox is to take a message, and whose mailbox that is. */
  private record Wanted(Call call, Party owner) {}

  /** Which call is meant by a call of mine, and whose mailbox; null when none can be. */
  private @Nullable Wanted wanted(Call call, Connection mine) {
    if (mine.rings()) {
      // A group's call goes on ringing at the others.
      boolean own = !call.ringsBackAt(mine) && mine.party().equals(mine.line());
      return own ? new Wanted(call, mine.party()) : null;
    }
    Call waits = call.heldFor() == null ? null : draft.call(call.heldFor());
    Connection there = waits == null ? null : waits.of(mine.party().employee());
    if (there != null) {
      boolean possible = call.asideOf() == null && Refusals.twoParties(waits) == null;
      return possible ? new Wanted(waits, owner(call, mine)) : null;
    }
    boolean inVain = call.calledInVain() && mine.party().equals(call.caller());
    return inVain ? new Wanted(call, call.called()) : null;
  }

  private static Party owner(Call announcement, Connection mine) {
    Connection other = announcement.opposite(mine.leg());
    return other == null ? announcement.called() : other.party();
  }

  /** Refused unless a mailbox could take a message for this call, or the one it was placed for. */
  public @Nullable Refusal mayTakeMessage(Call call, Connection mine) {
    Wanted wanted = wanted(call, mine);
    return wanted != null && draft.office.hasMailbox(wanted.owner())
        ? null
        : Refusal.of(Reason.NO_MAILBOX);
  }

  /** A mailbox takes a message from whoever waits; the employee is in the call no longer. */
  public @Nullable Refusal takeMessage(Call call, Connection mine) {
    Refusal refusal = mayTakeMessage(call, mine);
    if (refusal != null) {
      return refusal;
    }
    Wanted wanted = wanted(call, mine);
    Cause why = call.failure() == null ? Cause.NO_ANSWER : call.failure().cause();
    if (mine.rings()) {
      clearing.clear(call.id(), mine, Cause.DECLINED);
    } else if (wanted.call() != call) {
      clearing.gone(call, mine, Cause.NORMAL);
      Connection there = draft.call(wanted.call().id()).of(mine.party().employee());
      clearing.clear(wanted.call().id(), there, Cause.TRANSFERRED);
    }
    Call now = draft.call(wanted.call().id());
    machines.takeMessage(now, new Party.Mailbox(wanted.owner()), why, List.of());
    return null;
  }

  /** Somebody whose mailbox it is speaks with the caller themselves. */
  public @Nullable Refusal take(SendCommand.TakeFromMailbox c) {
    Call call = draft.call(c.call());
    Connection mailbox = call == null ? null : call.mailbox();
    if (mailbox == null) {
      return justTaken(call, c.person());
    }
    Party owner = mailbox.party().mailboxOf();
    if (!Permissions.mayHear(draft.office, owner, c.person())) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    if (call.of(c.person()) != null) {
      return Refusal.of(Reason.SAME_PARTY);
    }
    Refusal refusal = Refusals.handsFull(draft, c.person());
    if (refusal == null) {
      answering.join(call, c.person(), owner, c.device());
    }
    return refusal;
  }

  /** Whoever was rung for it and comes too late is told who was quicker. */
  private static Refusal justTaken(@Nullable Call call, PersonId person) {
    Connection last = call == null ? null : call.lastToAnswer();
    return last != null && call.rang().contains(person)
        ? Refusal.answeredBy(last.party().employee())
        : Refusal.of(Reason.NO_SUCH_CALL);
  }
}
