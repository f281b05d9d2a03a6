package oficina.core.history;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Party;
import org.jspecify.annotations.Nullable;

/**
 * One stretch of a call's course, drawn as one piece of its cord.
 *
 * @param who the parties it concerns: who rings, who speaks, who put the call on hold
 * @param to null while it lasts
 */
public record Segment(Kind kind, List<Party> who, Instant from, @Nullable Instant to) {

  /** What goes on in a stretch. */
  public enum Kind {
    /** The public network is setting the call up. */
    DIALLING,
    RINGING,
    TALKING,
    /** Three or more speak. */
    CONFERENCE,
    /** Somebody has put the others on hold. */
    HELD,
    /** It waits in a park slot. */
    PARKED,
    /** Nobody is at one end any more: all devices there are gone. */
    UNATTENDED,
    /** Its caller is welcomed to a line. */
    WELCOMED,
    /** It waits at a line until somebody is free. */
    WAITING,
    /** A mailbox takes a message. */
    MESSAGE,
    /** The caller hears why the call cannot be completed. */
    REFUSED
  }

  Segment until(Instant end) {
    return new Segment(kind, who, from, end);
  }

  /** How long it has lasted by then. */
  public Duration lasted(Instant now) {
    return Duration.between(from, to == null ? now : to);
  }
}
