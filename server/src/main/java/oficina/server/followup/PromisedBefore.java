package oficina.server.followup;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;
import oficina.server.followup.FollowUpStore.FollowUp;
import oficina.server.followup.NoteStore.Note;
import org.springframework.stereotype.Component;

/**
 * Files what was written and promised before this office began: notes and follow-ups of the demo.
 */
@Component
public class PromisedBefore {
  private final NoteStore notes;
  private final FollowUpStore followUps;

  PromisedBefore(NoteStore notes, FollowUpStore followUps) {
    this.notes = notes;
    this.followUps = followUps;
  }

  /**
   * A note about a call.
   *
   * @param other whom the call was with, as {@link oficina.core.history.ToReturn#key} has it
   * @param outcome one of the office's list; empty for none
   */
  public void note(
      CallId call,
      PersonId person,
      String other,
      String title,
      String text,
      String outcome,
      Instant at) {
    notes.write(new Note(call, person, other, title, text, outcome, at));
  }

  /** Something that was promised in a call. */
  public void followUp(
      CallId call, PersonId person, String other, String what, Instant due, Instant at) {
    followUps.add(
        new FollowUp(0, call.value(), other, what, due, person, person, at, /* done= */ null));
  }
}
