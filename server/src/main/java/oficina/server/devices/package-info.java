/**
 * What people are reached through, as devices of the exchange. Begin with {@link
 * oficina.server.devices.Windows}. They come and go by commands; a reload makes nobody unreachable.
 */
@NullMarked
package oficina.server.devices;

import org.jspecify.annotations.NullMarked;
