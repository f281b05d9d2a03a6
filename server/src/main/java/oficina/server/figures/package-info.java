/**
 * What lines that keep callers have done, in the database: written with the events, read by day.
 * Begin with {@link oficina.server.figures.FactStore} and {@link oficina.server.figures.DayStore}.
 */
@NullMarked
package oficina.server.figures;

import org.jspecify.annotations.NullMarked;
