/**
 * Names and numbers of people and parties as others read them. Begin with {@link
 * oficina.server.people.Parties}.
 */
@NullMarked
package oficina.server.people;

import org.jspecify.annotations.NullMarked;
