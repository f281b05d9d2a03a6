/**
 * Where a call goes. Begin with {@link oficina.core.routing.Way}, then {@link
 * oficina.core.routing.Router}. A pure function: the same office and the same reach give the same
 * route, and every way says why it is gone.
 */
@NullMarked
package oficina.core.routing;

import org.jspecify.annotations.NullMarked;
