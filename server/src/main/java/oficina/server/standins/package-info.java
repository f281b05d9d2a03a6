/**
 * Stand-ins for what an office has around it: the public network, colleagues, a past. Begin with
 * {@link oficina.server.standins.StandIns}. They know nothing that real equipment would not.
 */
@NullMarked
package oficina.server.standins;

import org.jspecify.annotations.NullMarked;
