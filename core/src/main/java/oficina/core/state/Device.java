package oficina.core.state;

import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.people.PersonId;

/**
 * A device through which a person can be reached for as long as it is there. It rings, answers,
 * speaks and hears for them.
 *
 * @param id names it among the devices of its person
 * @param attended whether somebody is known to be at it; a telephone that nobody sits at rings too
 */
public record Device(DeviceId id, PersonId person, DeviceKind kind, boolean attended) {}
