package oficina.server.sound;

import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;

/** Where it is told who speaks in a call. Told by the engine's clock: must not wait. */
public interface SpeakingFeed {

  /**
   * @param whom employees who are in the call
   * @param speaking connections whose voices are heard now, in order; empty when nobody speaks or
   *     the call is over
   */
  void speaking(CallId call, Set<PersonId> whom, List<Integer> speaking);
}
