package oficina.server.tapes;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Whose recording something is.
 *
 * @param place the one name of it
 * @param call in which it ends up, should it begin in one that becomes a part of another
 * @param leg the connection of its owner within that call
 * @param other who was at the other end when it began
 * @param line the line the call came in on; null when its owner placed it
 */
public record TapeLabel(
    String place,
    CallId call,
    int leg,
    PersonId owner,
    Party other,
    @Nullable Party line,
    Instant began) {

  /** The same after its owner's connection has become one of another call. */
  TapeLabel in(CallId otherCall, int otherLeg) {
    return new TapeLabel(place, otherCall, otherLeg, owner, other, line, began);
  }
}
