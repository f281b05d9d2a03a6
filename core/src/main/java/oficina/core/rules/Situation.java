package oficina.core.rules;

import oficina.core.call.Cause;

/**
 * In what a call finds somebody, or a line, when a rule may say where it goes (after the forwarding
 * types of ECMA-269 and the conditions of ITU-T I.252). In the order in which they are looked at.
 */
public enum Situation {
  /** Whatever else is the case. */
  ALWAYS(Cause.NO_ANSWER),
  DO_NOT_DISTURB(Cause.DO_NOT_DISTURB),
  /** They have said so, or it is outside their hours; of a line: it is closed. */
  OFF_DUTY(Cause.OFF_DUTY),
  /** No device of theirs would ring, or they have said that they are away. */
  NOT_THERE(Cause.NOT_SIGNED_IN),
  /** They have a call in hand and want no further one. */
  BUSY(Cause.BUSY),
  DECLINED(Cause.DECLINED),
  NO_ANSWER(Cause.NO_ANSWER);

  private final Cause cause;

  Situation(Cause cause) {
    this.cause = cause;
  }

  /** Why a call reaches nobody that is sent nowhere else. */
  public Cause cause() {
    return cause;
  }

  /** The situation in which nobody has taken a call that was rung out or turned away. */
  public static Situation after(Cause cause) {
    return cause == Cause.DECLINED ? DECLINED : NO_ANSWER;
  }
}
