package oficina.core.routing;

import java.time.Duration;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.people.PersonId;

/** Where a call goes. */
public sealed interface Route {

  /**
   * It rings at these people.
   *
   * @param line the line it comes in on: the person's own or the group's
   */
  record Ring(List<PersonId> people, Party line, Duration time) implements Route {}

  /** It goes out to the public network. */
  record GoOut(Party to) implements Route {}

  /**
   * It goes nowhere.
   *
   * @param missedBy employees who were wanted and cannot be rung
   */
  record Refuse(Cause cause, List<PersonId> missedBy) implements Route {}
}
