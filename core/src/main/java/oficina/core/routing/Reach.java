package oficina.core.routing;

import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;

/** What routing asks the exchange about people at the moment of a call. */
public interface Reach {

  /** Whether this person has a device that would ring. */
  boolean hasDevice(PersonId person);

  /** Whether one more call may ring at this person, their calls in hand considered. */
  boolean takesCalls(PersonId person);

  /** Whether this person has a call in hand, whether they would take another one or not. */
  boolean onCall(PersonId person);

  /** Whether this person could have one more call in hand, if a rule of theirs wants it to ring. */
  boolean hasRoom(PersonId person);

  /** Whether this person is rung for a line of theirs at present. */
  boolean takesPart(PersonId person, GroupId line);

  /** How many callers a line keeps at present. */
  int waitingAt(GroupId line);

  /** What this person has said of themselves. */
  Status.Kind status(PersonId person);

  /** Whether it would ring at this person, by themselves or as one of a line. */
  default boolean rings(PersonId person) {
    return hasDevice(person) && takesCalls(person) && status(person).takesCalls();
  }
}
