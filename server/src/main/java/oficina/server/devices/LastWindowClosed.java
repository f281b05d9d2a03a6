package oficina.server.devices;

import oficina.core.people.PersonId;

/** No window of this person is open any more. */
public record LastWindowClosed(PersonId person) {}
