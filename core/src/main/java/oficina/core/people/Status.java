package oficina.core.people;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * What somebody has said of themselves. That they ring, speak or are not signed in is no status: it
 * is derived.
 *
 * @param text in their own words; empty when they have said nothing more
 * @param until when it undoes itself; null for when they change it
 */
public record Status(Kind kind, String text, Instant since, @Nullable Instant until) {

  /** What a status says. */
  public enum Kind {
    FREE,
    /** Occupied; it rings all the same. */
    BUSY,
    /** Not at the desk: calls go where they go when nobody is there. */
    AWAY,
    DO_NOT_DISTURB,
    /** Not at work. */
    OFF_DUTY;

    /** Whether calls ring. */
    public boolean takesCalls() {
      return this == FREE || this == BUSY;
    }
  }
}
