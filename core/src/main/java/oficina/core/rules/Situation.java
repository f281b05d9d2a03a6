package oficina.core.rules;

import oficina.core.call.Cause;
import oficina.core.call.Occasion;

/**
 * In what a call finds somebody, or a line, when a rule may say where it goes (after the forwarding
 * types of ECMA-269 and the conditions of ITU-T I.252). In the order in which they are looked at.
 */
public enum Situation {
  /** Whatever else is the case. */
  ALWAYS(Cause.NO_ANSWER, Occasion.AWAY),
  DO_NOT_DISTURB(Cause.DO_NOT_DISTURB, Occasion.BUSY),
  /** They have said so, or it is outside their hours; of a line: it is closed. */
  OFF_DUTY(Cause.OFF_DUTY, Occasion.AWAY),
  /** No device of theirs would ring, or they have said that they are away. */
  NOT_THERE(Cause.NOT_SIGNED_IN, Occasion.AWAY),
  /** They have a call in hand and want no further one. */
  BUSY(Cause.BUSY, Occasion.BUSY),
  DECLINED(Cause.DECLINED, Occasion.NO_ANSWER),
  NO_ANSWER(Cause.NO_ANSWER, Occasion.NO_ANSWER);

  private final Cause cause;
  private final Occasion occasion;

  Situation(Cause cause, Occasion occasion) {
    this.cause = cause;
    this.occasion = occasion;
  }

  /** Why a call reaches nobody that is sent nowhere else. */
  public Cause cause() {
    return cause;
  }

  /** With which greeting a mailbox answers. */
  public Occasion occasion() {
    return occasion;
  }

  /** The situation in which nobody has taken a call that was rung out or turned away. */
  public static Situation after(Cause cause) {
    return cause == Cause.DECLINED ? DECLINED : NO_ANSWER;
  }
}
