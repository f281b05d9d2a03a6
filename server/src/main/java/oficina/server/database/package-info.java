/**
 * Connections to the database that others may not use up. Begin with {@link
 * oficina.server.database.JournalDatabase}; everybody else takes the application's pool.
 */
@NullMarked
package oficina.server.database;

import org.jspecify.annotations.NullMarked;
