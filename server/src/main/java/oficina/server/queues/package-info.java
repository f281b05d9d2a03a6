/**
 * Lines that keep callers, as their members, those who lead them, and whoever sends somebody there
 * see them; and the voice that speaks to whoever waits. Begin with {@link
 * oficina.server.queues.QueueBoard}.
 */
@NullMarked
package oficina.server.queues;

import org.jspecify.annotations.NullMarked;
