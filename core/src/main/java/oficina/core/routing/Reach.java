package oficina.core.routing;

import oficina.core.people.PersonId;

/** What routing asks the exchange about people at the moment of a call. */
public interface Reach {

  /** Whether this person has a device that would ring. */
  boolean hasDevice(PersonId person);

  /** Whether one more call may ring at this person, their calls in hand considered. */
  boolean takesCalls(PersonId person);
}
