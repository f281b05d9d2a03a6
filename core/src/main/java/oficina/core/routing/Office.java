package oficina.core.routing;

import java.util.function.Predicate;
import oficina.core.people.Directory;
import oficina.core.people.PersonId;

/**
 * What routing needs to know of the office at the moment of a call.
 *
 * @param reachable whether a device of this person would ring
 */
public record Office(Directory directory, Predicate<PersonId> reachable) {}
