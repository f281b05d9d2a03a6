package oficina.core.state;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.events.ParkedCall;
import oficina.core.events.SentCall;
import oficina.core.people.PersonId;
import oficina.core.queueing.Place;
import oficina.core.routing.Diversion;
import oficina.core.routing.Way;
import org.jspecify.annotations.Nullable;

/**
 * How a call stands as a whole, whoever is in it.
 *
 * @param answered when somebody first answered it; null before
 * @param failure why it cannot be completed; null otherwise
 * @param onItsWay where it is going
 * @param parked where it waits; null when it does not
 * @param takenFrom the slot it waited in last; null when it never did
 * @param starter who brought more than two parties together and may order the conference; null in a
 *     call of two
 * @param afterAnswer digits to send when the outside party answers; empty when there are none
 * @param place where it waits or has waited last for somebody to be free; null when it never did
 */
public record Standing(
    @Nullable Instant answered,
    Call.@Nullable Failure failure,
    OnItsWay onItsWay,
    @Nullable ParkedCall parked,
    @Nullable String takenFrom,
    @Nullable PersonId starter,
    String afterAnswer,
    @Nullable Place place) {

  /**
   * Where a call is going that nobody has answered since it set out.
   *
   * @param sent where it has been sent; null when nobody sent it
   * @param ways what remains for when nobody takes it there
   * @param sendings how often it has been sent on since somebody answered it, a welcome included
   * @param diversions through whose decisions it has gone since
   */
  public record OnItsWay(
      @Nullable SentCall sent, List<Way> ways, int sendings, List<Diversion> diversions) {
    static final OnItsWay NOT = new OnItsWay(null, List.of(), 0, List.of());

    public OnItsWay {
      ways = List.copyOf(ways);
      diversions = List.copyOf(diversions);
    }

    /** How often it has gone on, sent by somebody or by what somebody has decided. */
    public int steps() {
      return sendings + diversions.size();
    }
  }

  static Standing atFirst(String afterAnswer, List<Way> ways) {
    OnItsWay called = new OnItsWay(null, ways, 0, List.of());
    return new Standing(null, null, called, null, null, null, afterAnswer, null);
  }

  /** Somebody answered: for the first time, or after it was sent on or parked. */
  Standing answeredAt(Instant at, @Nullable PersonId by) {
    Instant first = answered == null ? at : answered;
    String slot = parked == null ? takenFrom : parked.slot();
    Place served =
        place == null
            ? null
            : by == null ? place.answered(by, at).notKept() : place.answered(by, at);
    return new Standing(first, failure, OnItsWay.NOT, null, slot, starter, afterAnswer, served);
  }

  Standing failing(Call.Failure why) {
    Place over = place == null ? null : place.notKept();
    return new Standing(answered, why, OnItsWay.NOT, null, takenFrom, starter, afterAnswer, over);
  }

  Standing sentOn(SentCall where, List<Way> ways) {
    OnItsWay now = new OnItsWay(where, ways, onItsWay.sendings() + 1, onItsWay.diversions());
    return new Standing(answered, failure, now, parked, takenFrom, starter, afterAnswer, place);
  }

  /** It goes on as somebody has decided beforehand. */
  Standing routed(List<Diversion> more, List<Way> ways) {
    List<Diversion> all = new ArrayList<>(onItsWay.diversions());
    all.addAll(more);
    OnItsWay now = new OnItsWay(onItsWay.sent(), ways, onItsWay.sendings(), all);
    return new Standing(answered, failure, now, parked, takenFrom, starter, afterAnswer, place);
  }

  /** It waits in a slot, and rings nowhere. */
  Standing parkedAt(ParkedCall where, List<Way> ways) {
    OnItsWay waiting = new OnItsWay(null, ways, 0, List.of());
    return new Standing(answered, failure, waiting, where, takenFrom, starter, afterAnswer, place);
  }

  /** A mailbox has it: it is on its way nowhere any more, and waits in no slot. */
  Standing takesMessage() {
    String slot = parked == null ? takenFrom : parked.slot();
    return new Standing(answered, null, OnItsWay.NOT, null, slot, starter, afterAnswer, place);
  }

  /** Its caller has been welcomed, which happens once. */
  Standing welcomed() {
    OnItsWay now =
        new OnItsWay(
            onItsWay.sent(), onItsWay.ways(), onItsWay.sendings() + 1, onItsWay.diversions());
    return new Standing(answered, failure, now, parked, takenFrom, starter, afterAnswer, place);
  }

  Standing startedBy(@Nullable PersonId person) {
    return new Standing(answered, failure, onItsWay, parked, takenFrom, person, afterAnswer, place);
  }

  Standing sendingAfterAnswer(String digits) {
    return new Standing(answered, failure, onItsWay, parked, takenFrom, starter, digits, place);
  }

  /** It waits at a line, or waits there no more. */
  Standing at(@Nullable Place now) {
    return new Standing(answered, failure, onItsWay, parked, takenFrom, starter, afterAnswer, now);
  }
}
