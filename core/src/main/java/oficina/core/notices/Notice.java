package oficina.core.notices;

import java.time.Duration;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Something an employee should be told once, because it happened to a caller of theirs without
 * their doing.
 *
 * @param to who is told
 * @param about the caller or colleague it is about
 * @param by who did it; null when nobody but whom it is about
 * @param slot the park slot it is about; null when none
 * @param waited how long they had waited; null when that says nothing
 * @param call in which it happened, or the wish that was; null when it was in none
 */
public record Notice(
    PersonId to,
    What what,
    Party about,
    @Nullable Party by,
    @Nullable String slot,
    @Nullable Duration waited,
    @Nullable CallId call) {

  Notice(
      PersonId to,
      What what,
      Party about,
      @Nullable Party by,
      @Nullable String slot,
      @Nullable Duration waited) {
    this(to, what, about, by, slot, waited, null);
  }

  /** The same, of what happened in this call. */
  Notice in(@Nullable CallId where) {
    return new Notice(to, what, about, by, slot, waited, where);
  }

  /** What has happened. */
  public enum What {
    /** A call was missed. */
    MISSED,
    /** A call rang here too, and a colleague answered it. */
    ANSWERED_BY_OTHER,
    /** A party on hold hung up. */
    HELD_GAVE_UP,
    /** The line to somebody in a call failed. */
    CUT_OFF,
    /** A caller on their way to somebody else hung up. */
    SENT_GAVE_UP,
    /** Somebody answered a caller who was sent to them. */
    SENT_ANSWERED,
    /** Nobody took a caller who was sent on, who then was told so. */
    SENT_LOST,
    /** Nobody took a caller who was sent on or parked, and a mailbox takes a message. */
    SENT_TO_MAILBOX,
    /** A parked caller hung up. */
    PARKED_GAVE_UP,
    /** Somebody took a caller out of the slot. */
    PARKED_TAKEN,
    /** A colleague parked a caller for the one who is told. */
    PARKED_FOR_YOU,
    /** The starter took the one who is told out of the conference. */
    DROPPED,
    /** Somebody stays with others in a conference that the one who is told has left. */
    STAYS_IN_CONFERENCE,
    /** Nobody took a call at one's own telephone outside; it stays where it is. */
    PHONE_NOT_ANSWERED,
    /**
     * Two calls of a queue were not answered here, and the exchange has the one who is told rest.
     */
    RESTED,
    /** The colleague waited for is busy once more; waiting goes on. */
    CALL_BACK_BUSY_AGAIN,
    /** The colleague waited for did not become free in time. */
    CALL_BACK_EXPIRED
  }
}
