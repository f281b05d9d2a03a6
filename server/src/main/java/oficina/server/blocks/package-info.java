/**
 * Callers who are not let through, to somebody or to the whole office. Begin with {@link
 * oficina.server.blocks.BlockController}. People have their own; the office's are changed by
 * administrators. Each attempt is logged.
 */
@NullMarked
package oficina.server.blocks;

import org.jspecify.annotations.NullMarked;
