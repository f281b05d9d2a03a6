/**
 * How the installation stands, and what somebody has to do something about before it becomes
 * trouble. Begin with {@link oficina.core.upkeep.Condition}.
 */
@NullMarked
package oficina.core.upkeep;

import org.jspecify.annotations.NullMarked;
