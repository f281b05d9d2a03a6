/**
 * The groups into which people put contacts and colleagues for themselves. Begin with {@link
 * oficina.server.owngroups.GroupChange}. A change says what comes and goes and leaves the rest: two
 * changes made at once both count.
 */
@NullMarked
package oficina.server.owngroups;

import org.jspecify.annotations.NullMarked;
