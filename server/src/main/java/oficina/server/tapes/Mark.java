package oficina.server.tapes;

/**
 * Something to be known of a place in a recording.
 *
 * @param at milliseconds from its beginning
 * @param lasted milliseconds that were left out there
 * @param digits that were sent
 */
public record Mark(Kind kind, long at, long lasted, String digits) {

  /** What there is to be known. */
  enum Kind {
    /** Somebody was on hold: nothing of it is recorded. */
    HELD,
    /** Its owner had stopped it. */
    STOPPED,
    /** The disk took no more. */
    LOST,
    DIGITS
  }
}
