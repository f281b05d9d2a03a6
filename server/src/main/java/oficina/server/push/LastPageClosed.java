package oficina.server.push;

import oficina.core.people.PersonId;

/** Nobody is at any page of this person any more. */
public record LastPageClosed(PersonId person) {}
