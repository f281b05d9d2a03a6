package oficina.core.services;

import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * A call in somebody else's hand that concerns a person by delegation: one of somebody for whom
 * they act, or one that is done in their name.
 *
 * @param holder at whom it is
 * @param service what can be done with it at this moment; null when it can only be seen
 */
public record ActedFor(CallId call, PersonId holder, @Nullable Service service) {

  /** What {@link CallCommand.TakeOver} means for such a call. */
  public enum Service {
    /** It rings, and is answered. */
    ANSWER,
    /** It is held, and goes on with whoever takes it. */
    TAKE_OVER
  }
}
