package oficina.core.figures;

import java.time.Duration;
import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * What became of one call that came to wait at a line.
 *
 * @param number that called; null when the caller is withheld, or of the office
 * @param entered when it came there
 * @param ended when it waited no longer
 * @param by the employee who answered; null when none did
 */
public record Wait(
    CallId call,
    GroupId line,
    @Nullable PhoneNumber number,
    Instant entered,
    Instant ended,
    Outcome outcome,
    @Nullable PersonId by)
    implements Fact {

  /** How a wait ends: in exactly one of these. */
  public enum Outcome {
    ANSWERED,
    /** The caller hung up. */
    GIVEN_UP,
    /** It went on elsewhere: by the line's rules, or because somebody has moved it. */
    SENT_ON,
    /** A mailbox has taken a message. */
    MESSAGE,
    /** The caller has hung up and is called back in turn. */
    CALLED_BACK,
    /** The caller was told why nobody comes. */
    FAILED
  }

  /** How long it waited. */
  public Duration waited() {
    return Duration.between(entered, ended);
  }
}
