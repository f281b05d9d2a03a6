package oficina.server.calls;

import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;

/** Knows which devices are somebody else's. */
public interface DeviceGuard {

  /** Whether this person may answer and place calls at this device; of their windows always. */
  boolean mayUse(PersonId person, DeviceId device);
}
