package oficina.core.exchange;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.MessageEnd;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.commands.SendCommand;
import oficina.core.events.MachineEvent;
import oficina.core.events.TalkEvent;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/**
 * Mailboxes answer in the place of their owner: greeting, tone, recording. What plays and records
 * reports how far it is; the timers here end each step without it.
 */
record Mailboxes(Draft draft) {
  private static final Duration LONGEST_GREETING = Duration.ofSeconds(60);
  private static final String END_KEY = "#";

  /**
   * A mailbox answers a call that nobody takes.
   *
   * @param why nobody does
   * @param missedBy employees who were wanted and were never rung
   */
  void answer(Call call, Party.Mailbox mailbox, Cause why, List<PersonId> missedBy) {
    Instant until = draft.now.plus(LONGEST_GREETING);
    draft.emit(
        new MachineEvent.MailboxAnswered(
            call.id(),
            draft.now,
            call.nextLeg(),
            mailbox,
            Occasion.after(why),
            why,
            missedBy,
            until));
  }

  // --- how far it is ----------------------------------------------------------------------------

  void greetingOver(Call call, Connection mailbox) {
    if (mailbox.taking() == Connection.Taking.GREETING) {
      Instant until = draft.now.plus(draft.settings().voicemail().longest());
      draft.emit(new MachineEvent.RecordingBegan(call.id(), draft.now, mailbox.leg(), until));
    }
  }

  void sounds(Call call, Connection mailbox) {
    if (mailbox.taking() == Connection.Taking.RECORDING) {
      draft.emit(new MachineEvent.MessageHeard(call.id(), draft.now, mailbox.leg()));
    }
  }

  void silent(Call call, Connection mailbox) {
    if (mailbox.records()) {
      end(call, mailbox, MessageEnd.SILENCE);
    }
  }

  void timeIsUp(Call call, Connection mailbox) {
    if (mailbox.records()) {
      end(call, mailbox, MessageEnd.LIMIT);
    } else {
      greetingOver(call, mailbox);
    }
  }

  /** Keys pressed by the caller: one cuts the greeting short and ends the message. */
  void keys(Call call, Connection mailbox, String digits) {
    draft.emit(new TalkEvent.DigitsSent(call.id(), draft.now, mailbox.leg(), digits));
    if (digits.contains(END_KEY) && mailbox.records()) {
      end(call, mailbox, MessageEnd.KEY);
    } else if (digits.contains(END_KEY)) {
      greetingOver(call, mailbox);
    }
  }

  private void end(Call call, Connection mailbox, MessageEnd how) {
    draft.stopRecording(call.id(), mailbox, how);
    draft.end(draft.call(call.id()), Cause.NORMAL);
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
      boolean possible = call.asideOf() == null && Sending.twoParties(waits) == null;
      return possible ? new Wanted(waits, owner(call, mine)) : null;
    }
    boolean inVain = call.calledInVain() && mine.party().equals(call.caller());
    return inVain ? new Wanted(call, call.called()) : null;
  }

  private static Party owner(Call announcement, Connection mine) {
    Connection other = announcement.opposite(mine.leg());
    return other == null ? announcement.called() : other.party();
  }

  @Nullable Refusal mayTakeMessage(Call call, Connection mine) {
    Wanted wanted = wanted(call, mine);
    return wanted != null && draft.office.hasMailbox(wanted.owner())
        ? null
        : Refusal.of(Reason.NO_MAILBOX);
  }

  @Nullable Refusal takeMessage(Call call, Connection mine) {
    Refusal refusal = mayTakeMessage(call, mine);
    if (refusal != null) {
      return refusal;
    }
    Wanted wanted = wanted(call, mine);
    Cause why = call.failure() == null ? Cause.NO_ANSWER : call.failure().cause();
    if (mine.rings()) {
      draft.clear(call.id(), mine, Cause.DECLINED);
    } else if (wanted.call() != call) {
      draft.gone(call, mine, Cause.NORMAL);
      Connection there = draft.call(wanted.call().id()).of(mine.party().employee());
      draft.clear(wanted.call().id(), there, Cause.TRANSFERRED);
    }
    Call now = draft.call(wanted.call().id());
    answer(now, new Party.Mailbox(wanted.owner()), why, List.of());
    return null;
  }

  /** Somebody whose mailbox it is speaks with the caller themselves. */
  @Nullable Refusal take(SendCommand.TakeFromMailbox c) {
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
    Refusal refusal = draft.handsFull(c.person());
    if (refusal == null) {
      draft.join(call, c.person(), owner, c.device());
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
