/**
 * Threads of the server. Begin with {@link oficina.server.threads.Threads}. Calls come first: what
 * takes the processor for long, and nobody on the telephone waits for, runs behind everything else.
 */
@NullMarked
package oficina.server.threads;

import org.jspecify.annotations.NullMarked;
