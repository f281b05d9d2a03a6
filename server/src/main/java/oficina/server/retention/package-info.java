/**
 * What the office keeps for a time only goes in the night after: history, messages, notes, the log.
 * Begin with {@link oficina.server.retention.Retention}. Whoever keeps something says how it ends
 * ({@link oficina.server.ending.Ending}); recordings end where they are kept.
 */
@NullMarked
package oficina.server.retention;

import org.jspecify.annotations.NullMarked;
