package oficina.core.history;

import java.time.Duration;
import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.rules.Situation;
import org.jspecify.annotations.Nullable;

/**
 * One employee's part in a call: an entry of their history.
 *
 * @param other who was at the other end; the group called as long as none of it has answered
 * @param line the line it came in on, or of the colleague in whose name the employee placed it;
 *     null for a call placed in one's own name
 * @param began when it was placed or began to ring here
 * @param rang how long it rang here, or at the other end when the employee placed it
 * @param answeredBy the colleague who took a call that was for the employee, or placed one in their
 *     name; null otherwise
 * @param endedBy who hung up; null when nobody spoke, or it ended otherwise
 * @param callOver whether the whole call is over, and not only this part in it
 * @param cause why it ended; null in entries that were written before it was kept
 * @param message whether a message was left; null when there was nowhere to, or the caller left
 *     before the tone
 * @param recorded whether the part, or some of it, was recorded for the employee
 * @param ruling what the employee or the office had decided about it; null when nothing was applied
 */
public record Part(
    CallId call,
    PersonId person,
    Direction direction,
    Party other,
    @Nullable Party line,
    Instant began,
    Instant ended,
    Duration rang,
    Duration talked,
    Duration held,
    Result result,
    @Nullable PersonId answeredBy,
    @Nullable Party endedBy,
    boolean callOver,
    @Nullable Cause cause,
    @Nullable Message message,
    boolean recorded,
    @Nullable Ruling ruling) {

  /**
   * What had been decided beforehand about a call.
   *
   * @param why in which situation a rule applied; null for a block
   * @param rule that sent it on; null when no rule did
   * @param block that kept it out; null when none did
   * @param to where it was sent; null when it was kept out
   */
  public record Ruling(
      @Nullable Situation why, @Nullable Long rule, @Nullable Long block, @Nullable Party to) {}

  /** What became of a message in the call. */
  public enum Message {
    LEFT,
    /** It was so short that nothing was kept. */
    NOT_LEFT
  }

  /**
   * How the conversation ended for the employee; null when nobody spoke, or it is not known any
   * more.
   */
  public @Nullable Ending ending() {
    if (endedBy != null) {
      return person.equals(endedBy.employee()) ? Ending.I_HUNG_UP : Ending.OTHER_HUNG_UP;
    }
    if (result != Result.ANSWERED || cause == null) {
      return null;
    }
    return switch (cause) {
      case TRANSFERRED -> Ending.WENT_ON;
      case DROPPED -> Ending.I_WAS_TAKEN_OUT;
      case LOST -> Ending.LOST;
      case NETWORK_FAILURE -> Ending.CUT_OFF;
      default -> null;
    };
  }

  /** How a conversation ended, seen from the employee whose part it is. */
  public enum Ending {
    I_HUNG_UP,
    OTHER_HUNG_UP,
    /** Without the employee, who sent it on or handed it over, or as a part of another call. */
    WENT_ON,
    I_WAS_TAKEN_OUT,
    /** Nobody was at one end any more. */
    LOST,
    /** The public network failed. */
    CUT_OFF
  }

  /** Whether the employee placed the call or was called. */
  public enum Direction {
    PLACED,
    RECEIVED
  }

  /** How the part ended. */
  public enum Result {
    /** They spoke. */
    ANSWERED,
    /** It rang here and the caller gave up, or nobody answered in time. */
    MISSED,
    /** It rang here too, and a colleague answered. */
    ANSWERED_ELSEWHERE,
    /** It rang here for a queue, the employee did not take it, and another member was rung. */
    NOT_TAKEN,
    /** The employee sent it on without answering. */
    SENT_ON,
    /** The employee declined it. */
    DECLINED,
    /** The employee was called while they had a call in hand. */
    MISSED_BUSY,
    /** The employee was called while not signed in. */
    MISSED_NOT_SIGNED_IN,
    /** The employee was called while they did not want to be disturbed. */
    MISSED_DO_NOT_DISTURB,
    /** The employee was called while not at work. */
    MISSED_OFF_DUTY,
    /** Their line was called while it was closed. */
    MISSED_CLOSED,
    /** A rule sent it on before it rang at the employee. */
    FORWARDED,
    /** It was not let through to the employee. */
    BLOCKED,
    /** All outside lines were taken when somebody called the employee. */
    MISSED_LINES_BUSY,
    /** A placed call the employee gave up before anybody answered. */
    GIVEN_UP,
    NO_ANSWER,
    BUSY,
    REFUSED_BY_OTHER,
    NOT_SIGNED_IN,
    DO_NOT_DISTURB,
    OFF_DUTY,
    CLOSED,
    NUMBER_NOT_IN_USE,
    LINES_BUSY,
    NETWORK_FAILURE,
    /** Nobody took the placed call at the employee's own telephone outside. */
    PHONE_NOT_ANSWERED;

    /** Whether somebody wanted the employee and did not get them. */
    public boolean missed() {
      return switch (this) {
        case MISSED,
            MISSED_BUSY,
            MISSED_NOT_SIGNED_IN,
            MISSED_DO_NOT_DISTURB,
            MISSED_OFF_DUTY,
            MISSED_CLOSED,
            MISSED_LINES_BUSY ->
            true;
        default -> false;
      };
    }
  }
}
