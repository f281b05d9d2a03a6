package oficina.core.call;

/** Why a connection ended or a call could not be completed (after ECMA-269 event causes). */
public enum Cause {
  /** Somebody hung up. */
  NORMAL,
  BUSY,
  NO_ANSWER,
  DECLINED,
  /** The caller hung up before anybody answered. */
  CALLER_GAVE_UP,
  /** Another member of the group answered. */
  ANSWERED_ELSEWHERE,
  /** A member of a queue has not taken it, and another one is rung. */
  NOT_TAKEN,
  /** Left by sending the call on, or the call became part of another. */
  TRANSFERRED,
  /** No device of the called person is signed in. */
  NOT_SIGNED_IN,
  /** The called person does not want to be disturbed. */
  DO_NOT_DISTURB,
  /** The called person is not at work. */
  OFF_DUTY,
  /** The line that was called is closed. */
  CLOSED,
  /** The rules of whoever was called sent it on. */
  FORWARDED,
  /** Whoever called is not let through. */
  BLOCKED,
  /** It only seems to ring: whoever called is not let through, and is not to know it. */
  RINGS_ON,
  NUMBER_NOT_IN_USE,
  /** All outside lines of the office are taken. */
  LINES_BUSY,
  /** The public network could not complete the call. */
  NETWORK_FAILURE,
  /** The caller's own telephone outside, which is rung first, was not answered with the key. */
  PHONE_NOT_ANSWERED,
  /** A parked call was not taken in time. */
  PARKED_TOO_LONG,
  /** Taken out of a conference by its starter. */
  DROPPED,
  /** Let go of because the starter ended the conference for everybody. */
  ENDED_FOR_ALL,
  /** The time for it is over. */
  EXPIRED,
  /** Nobody was at one end any more, for too long. */
  LOST
}
