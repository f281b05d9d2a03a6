/**
 * The port for outside lines. Begin with {@link oficina.server.trunk.Trunk}; {@link
 * oficina.server.trunk.TrunkLines} stands between it and the exchange. The network is told of
 * events only when they are durable.
 */
@NullMarked
package oficina.server.trunk;

import org.jspecify.annotations.NullMarked;
