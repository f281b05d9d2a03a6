/**
 * People and groups of the office, and finding them. Begin with {@link
 * oficina.core.people.Directory}. An extension or number belongs to one only; a group has members
 * of its own, whatever teams they are in.
 */
@NullMarked
package oficina.core.people;

import org.jspecify.annotations.NullMarked;
