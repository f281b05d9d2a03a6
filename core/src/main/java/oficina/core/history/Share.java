package oficina.core.history;

import java.time.Instant;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.history.Part.Direction;
import oficina.core.history.Part.Result;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** What is known of one employee's part while it lasts and afterwards. */
final class Share {
  final Direction direction;
  final @Nullable Party line;
  final Instant began;

  /** Who was at the other end before this call took the part over; null when it began here. */
  @Nullable Party other;

  @Nullable Instant answered;
  @Nullable Instant ended;
  @Nullable Party endedBy;
  boolean written;
  @Nullable Cause cause;
  boolean recorded;
  Part.@Nullable Ruling ruling;

  /** The delegate who placed the call in their name; null when they placed it themselves. */
  @Nullable PersonId by;

  /** Whether it rings at others for them, and not at themselves. */
  boolean elsewhere;

  Share(Direction direction, @Nullable Party line, Instant began) {
    this.direction = direction;
    this.line = line;
    this.began = began;
  }

  void goesOn() {
    ended = null;
    endedBy = null;
  }

  void ends(Instant at, Cause why) {
    if (ended == null) {
      ended = at;
      cause = why;
    }
  }

  /** What became of it, once it has ended. */
  Result result() {
    if (answered != null) {
      return Result.ANSWERED;
    }
    boolean placed = direction == Direction.PLACED;
    return switch (cause) {
      case NORMAL, CALLER_GAVE_UP -> placed ? Result.GIVEN_UP : Result.MISSED;
      case TRANSFERRED -> placed ? Result.GIVEN_UP : Result.SENT_ON;
      case NO_ANSWER, PARKED_TOO_LONG, DROPPED, ENDED_FOR_ALL, EXPIRED, LOST ->
          placed ? Result.NO_ANSWER : Result.MISSED;
      case BUSY -> placed ? Result.BUSY : Result.MISSED_BUSY;
      case DECLINED -> placed ? Result.REFUSED_BY_OTHER : Result.DECLINED;
      case NOT_TAKEN -> Result.NOT_TAKEN;
      case ANSWERED_ELSEWHERE -> Result.ANSWERED_ELSEWHERE;
      case NOT_SIGNED_IN -> placed ? Result.NOT_SIGNED_IN : Result.MISSED_NOT_SIGNED_IN;
      case DO_NOT_DISTURB -> placed ? Result.DO_NOT_DISTURB : Result.MISSED_DO_NOT_DISTURB;
      case OFF_DUTY -> placed ? Result.OFF_DUTY : Result.MISSED_OFF_DUTY;
      case CLOSED -> placed ? Result.CLOSED : Result.MISSED_CLOSED;
      case FORWARDED -> Result.FORWARDED;
      case BLOCKED -> placed ? Result.REFUSED_BY_OTHER : Result.BLOCKED;
      case RINGS_ON -> Result.NO_ANSWER;
      case NUMBER_NOT_IN_USE -> Result.NUMBER_NOT_IN_USE;
      case LINES_BUSY -> placed ? Result.LINES_BUSY : Result.MISSED_LINES_BUSY;
      case NETWORK_FAILURE -> Result.NETWORK_FAILURE;
      case PHONE_NOT_ANSWERED -> Result.PHONE_NOT_ANSWERED;
    };
  }
}
