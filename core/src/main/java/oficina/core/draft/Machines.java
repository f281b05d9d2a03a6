package oficina.core.draft;

import java.time.Duration;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Occasion;
import oficina.core.call.Party;
import oficina.core.events.MachineEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.people.PersonId;
import oficina.core.state.Call;

/** How voices of the office come into a call. */
public final class Machines {
  private static final Duration LONGEST_GREETING = Duration.ofSeconds(60);

  private static final Duration LONGEST_WELCOME = Duration.ofMinutes(2);

  private final Draft draft;

  Machines(Draft draft) {
    this.draft = draft;
  }

  /**
   * A mailbox answers a call that nobody takes.
   *
   * @param why nobody does
   * @param missedBy employees who were wanted and were never rung
   */
  public void takeMessage(Call call, Party.Mailbox mailbox, Cause why, List<PersonId> missedBy) {
    draft.emit(
        new MachineEvent.MailboxAnswered(
            call.id(),
            draft.now,
            call.nextLeg(),
            mailbox,
            Occasion.after(why),
            why,
            missedBy,
            draft.now.plus(LONGEST_GREETING)));
  }

  void welcome(Call call, Party.Welcome welcome) {
    draft.emit(
        new MachineEvent.Welcomed(
            call.id(), draft.now, call.nextLeg(), welcome, draft.now.plus(LONGEST_WELCOME)));
  }

  void attend(Call call, Party attendant) {
    int leg = call.nextLeg();
    draft.emit(
        new ReachEvent.Delivered(call.id(), draft.now, leg, attendant, attendant, draft.now));
    draft.emit(new TalkEvent.Established(call.id(), draft.now, leg, null));
  }
}
