package oficina.core.state;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Whether a party's part in a call is recorded for them. What of it is recorded at a moment says
 * {@link Taping}.
 *
 * @param since when it was switched on, or off again; null when it never was
 * @param announced when the others were last told; null when nothing was recorded
 */
public record Tape(State state, @Nullable Instant since, @Nullable Instant announced) {

  /** So long after they were told of it, an outsider can refuse to be recorded. */
  private static final Duration TIME_TO_REFUSE = Duration.ofSeconds(30);

  static final Tape NONE = new Tape(State.NONE, null, null);

  /** How it stands with recording at one end of a call. */
  public enum State {
    /** It is not recorded for this party. */
    NONE,
    /** It is recorded for this party. */
    ON,
    /** This party has stopped what was recorded for them, and only they go on with it. */
    STOPPED,
    /** This party, an outsider, does not want to be recorded. */
    REFUSED
  }

  static Tape startedAt(Instant at) {
    return new Tape(State.ON, at, at);
  }

  Tape announcedAt(Instant at) {
    return new Tape(state, since, at);
  }

  public boolean on() {
    return state == State.ON;
  }

  public boolean refused() {
    return state == State.REFUSED;
  }

  /** Whether an outsider can still say that they do not want to be recorded. */
  public boolean canBeRefused(Instant now) {
    return on() && now.isBefore(announced.plus(TIME_TO_REFUSE));
  }
}
