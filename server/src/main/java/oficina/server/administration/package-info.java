/**
 * What administrators change of the office. Begin with {@link
 * oficina.server.administration.PeopleController}. Everything here is refused to everybody else.
 */
@NullMarked
package oficina.server.administration;

import org.jspecify.annotations.NullMarked;
