/**
 * What the demo office's queues have done in the weeks before it was set up. Begin with {@link
 * oficina.server.demopast.QueuePast}.
 */
@NullMarked
package oficina.server.demopast;

import org.jspecify.annotations.NullMarked;
