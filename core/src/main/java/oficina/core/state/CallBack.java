package oficina.core.state;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;

/**
 * A wish to be connected as soon as a colleague is free (call back, ECMA-269; completion of calls
 * to busy subscriber and on no reply, ITU-T I.253.3 and I.253.4).
 *
 * @param request identity of the wish; the calls it leads to are named after it
 * @param by who wants it
 * @param on who is to become free
 * @param until when it is given up
 * @param armed whether the colleague's being free counts now; after a call that was not answered
 *     they must have used their telephone first
 * @param attempts how many calls it has led to
 * @param ringing whether the last of them is still under way
 */
public record CallBack(
    CallId request,
    PersonId by,
    PersonId on,
    Instant until,
    boolean armed,
    int attempts,
    boolean ringing) {

  /** The call that the next attempt would be. */
  public CallId nextCall() {
    return new CallId(request.value() + "-" + (attempts + 1));
  }

  CallBack arm() {
    return new CallBack(request, by, on, until, true, attempts, ringing);
  }

  CallBack begin() {
    return new CallBack(request, by, on, until, armed, attempts + 1, true);
  }

  CallBack waitOn() {
    return new CallBack(request, by, on, until, armed, attempts, false);
  }
}
