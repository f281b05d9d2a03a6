package oficina.server.sound;

import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.server.trunk.TrunkCall;

/** Names an end of sound. */
public sealed interface EndId {

  /** A device of an employee. */
  record Device(PersonId person, DeviceId device) implements EndId {}

  /** A voice of the office itself in a call: a mailbox, or the one that reads messages out. */
  record Machine(CallId call, int leg) implements EndId {}

  /** The far end of an outside line. */
  record Line(TrunkCall call) implements EndId {}
}
