/**
 * The office in the database and in memory. Begin with {@link oficina.server.office.OfficeData}.
 * One immutable snapshot, swapped whole after the database has taken a change.
 */
@NullMarked
package oficina.server.office;

import org.jspecify.annotations.NullMarked;
