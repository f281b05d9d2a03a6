package oficina.core.exchange;

import java.time.Instant;
import oficina.core.people.PersonId;

/**
 * How a call stands as a whole, whoever is in it.
 *
 * @param answered when somebody first answered it; null before
 * @param failure why it cannot be completed; null otherwise
 * @param sent where it is on its way to; null when it is not
 * @param parked where it waits; null when it does not
 * @param starter who brought more than two parties together and may order the conference; null in a
 *     call of two
 * @param afterAnswer digits to send when the outside party answers; empty when there are none
 */
public record Standing(
    Instant answered,
    Call.Failure failure,
    Call.Sent sent,
    Call.Parking parked,
    PersonId starter,
    String afterAnswer) {

  static Standing atFirst(String afterAnswer) {
    return new Standing(null, null, null, null, null, afterAnswer);
  }

  /** Somebody answered: for the first time, or after it was sent on or parked. */
  Standing answeredAt(Instant at) {
    return new Standing(
        answered == null ? at : answered, failure, null, null, starter, afterAnswer);
  }

  Standing failing(Call.Failure why) {
    return new Standing(answered, why, null, null, starter, afterAnswer);
  }

  Standing sentOn(Call.Sent where) {
    return new Standing(answered, failure, where, parked, starter, afterAnswer);
  }

  /** It waits in a slot, and rings nowhere. */
  Standing parkedAt(Call.Parking where) {
    return new Standing(answered, failure, null, where, starter, afterAnswer);
  }

  Standing startedBy(PersonId person) {
    return new Standing(answered, failure, sent, parked, person, afterAnswer);
  }

  Standing sendingAfterAnswer(String digits) {
    return new Standing(answered, failure, sent, parked, starter, digits);
  }
}
