/**
 * Callers who are not let through. Begin with {@link oficina.core.blocking.BlockList}. A block is
 * the office's or somebody's own, and counts with the next call.
 */
@NullMarked
package oficina.core.blocking;

import org.jspecify.annotations.NullMarked;
