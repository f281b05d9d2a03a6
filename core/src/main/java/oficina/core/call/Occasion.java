package oficina.core.call;

/** When a voice greets in somebody's place; each occasion can have a greeting of its own. */
public enum Occasion {
  NO_ANSWER,
  BUSY,
  /** The owner is not there: none of their devices is. */
  AWAY,
  /** Outside the opening hours. */
  CLOSED,
  /** Before a line rings: no mailbox answers, it is the line's welcome. */
  WELCOME;

  /** The occasion that a call for this reason reaches nobody. */
  public static Occasion after(Cause cause) {
    return switch (cause) {
      case BUSY -> BUSY;
      case NOT_SIGNED_IN, OFF_DUTY -> AWAY;
      case DO_NOT_DISTURB -> BUSY;
      case CLOSED -> CLOSED;
      default -> NO_ANSWER;
    };
  }
}
