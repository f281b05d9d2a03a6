/**
 * How something ends that the office keeps for a time. Whoever keeps such a thing says it here
 * ({@link oficina.server.ending.Ending}); it is carried out in the night.
 */
@NullMarked
package oficina.server.ending;

import org.jspecify.annotations.NullMarked;
