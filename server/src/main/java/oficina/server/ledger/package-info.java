/**
 * Writes down who changed what in the office, together with the change, and shows it to
 * administrators. Begin with {@link oficina.server.ledger.OfficeLog}. A line is never changed and
 * never taken out; the database refuses both.
 */
@NullMarked
package oficina.server.ledger;

import org.jspecify.annotations.NullMarked;
