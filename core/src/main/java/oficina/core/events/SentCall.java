package oficina.core.events;

import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import org.jspecify.annotations.Nullable;

/**
 * A call that was sent on and has not been answered since.
 *
 * @param by the employee who sent it
 * @param to whom they sent it to
 * @param reason what led it where it is now
 * @param why why the last one did not take it; null at first
 */
public record SentCall(PersonId by, Party to, Way.Reason reason, @Nullable Cause why) {

  /** Whether it is still where the sender sent it, and nobody has refused it. */
  public boolean toTarget() {
    return reason == Way.Reason.SENT_ON;
  }
}
