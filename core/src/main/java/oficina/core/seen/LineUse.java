package oficina.core.seen;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.Group;
import oficina.core.people.PersonId;
import oficina.core.state.Connection;
import oficina.core.state.ExchangeState;
import org.jspecify.annotations.Nullable;

/**
 * What goes on at a line that several people answer, as all of them see it. Says nothing of who
 * calls.
 *
 * @param ringing how many calls ring there
 * @param ringsSince since when the longest of them does; null when none
 * @param talking members with a call that came in on it
 */
public record LineUse(int ringing, @Nullable Instant ringsSince, List<PersonId> talking) {

  /** Whether nothing goes on there. */
  public boolean free() {
    return ringing == 0 && talking.isEmpty();
  }

  /** The use of this line now. */
  public static LineUse of(Group line, ExchangeState state) {
    Party party = new Party.Members(line.id());
    Set<CallId> ringing = new LinkedHashSet<>();
    List<PersonId> talking = new ArrayList<>();
    Instant since = null;
    for (PersonId member : line.members()) {
      boolean talks = false;
      for (CallId id : state.inHand(member)) {
        Connection own = state.call(id).of(member);
        if (own == null || !party.equals(own.line())) {
          continue;
        }
        if (own.rings()) {
          ringing.add(id);
          since = since == null || own.since().isBefore(since) ? own.since() : since;
        } else {
          talks = true;
        }
      }
      if (talks) {
        talking.add(member);
      }
    }
    return new LineUse(ringing.size(), since, talking);
  }
}
