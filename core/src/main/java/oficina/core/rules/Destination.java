package oficina.core.rules;

import oficina.core.call.Party;
import org.jspecify.annotations.Nullable;

/**
 * Where a rule has a call go.
 *
 * @param party to whom, when it goes to somebody: a colleague, a line, an outside number or a
 *     mailbox
 */
public record Destination(Kind kind, @Nullable Party party) {
  /** It rings all the same. */
  public static final Destination RING = new Destination(Kind.RING, null);

  /** The caller hears why, and it goes nowhere. */
  public static final Destination REFUSE = new Destination(Kind.REFUSE, null);

  /** What kind of destination it is. */
  public enum Kind {
    RING,
    REFUSE,
    PARTY
  }

  /** To this party. */
  public static Destination to(Party party) {
    return new Destination(Kind.PARTY, party);
  }
}
