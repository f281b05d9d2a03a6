package oficina.core.routing;

import java.time.Duration;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.rules.Situation;
import org.jspecify.annotations.Nullable;

/**
 * One thing that was found on the way of a call, as it is told to people.
 *
 * @param at where the call was
 * @param situation in which it was there; null when none mattered
 * @param rule that decided; null when none did
 * @param to where it goes on; empty when nowhere else
 * @param time how long it rings; null when it does not
 */
public record Station(
    Kind kind,
    Party at,
    @Nullable Situation situation,
    @Nullable Long rule,
    List<Party> to,
    @Nullable Duration time) {

  /** What was found. */
  public enum Kind {
    NOT_BLOCKED,
    BLOCKED,
    /** The situation, and no rule for this caller. */
    NO_RULE,
    /** A rule lets it ring all the same. */
    RINGS_ALL_THE_SAME,
    /** A rule sends it on. */
    SENT_BY_RULE,
    /** A rule has the caller told why. */
    REFUSED_BY_RULE,
    /** It would go round in a circle, or has gone on too often. */
    CIRCLE,
    RINGS,
    /** A line keeps the caller until somebody is free. */
    WAITS,
    GOES_OUT,
    MAILBOX,
    /** A voice of the office. */
    ATTENDANT,
    /** The caller is welcomed, and may dial an extension. */
    WELCOMED,
    NOT_IN_USE,
    /** Nobody took it there. */
    NOT_TAKEN
  }

  /** One of which nothing more is to be said. */
  public static Station of(Kind kind, Party at) {
    return new Station(kind, at, null, null, List.of(), null);
  }
}
