/**
 * How the installation stands: what administrators see of it, what machines that watch it read, and
 * of what somebody is told before it becomes trouble. Begin with {@link
 * oficina.server.upkeep.Installation}; what is an alarm says {@link oficina.core.upkeep.Condition}.
 * Nothing here says anything of a person or a call.
 */
@NullMarked
package oficina.server.upkeep;

import org.jspecify.annotations.NullMarked;
