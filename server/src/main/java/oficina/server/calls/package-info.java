/**
 * The services of the exchange over HTTP. Begin with {@link oficina.server.calls.CallController}.
 * Each request becomes one command for the signed-in person; it is answered when its events are
 * durable.
 */
@NullMarked
package oficina.server.calls;

import org.jspecify.annotations.NullMarked;
