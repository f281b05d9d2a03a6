/**
 * The stand-in for a desk telephone: a window of a browser that draws one. Begin with {@link
 * oficina.server.phonewindow.PhoneSocket}. It stands behind the port {@link
 * oficina.server.handset.Handset} and says no more than a telephone would: its secret, its keys,
 * its sound.
 */
@NullMarked
package oficina.server.phonewindow;

import org.jspecify.annotations.NullMarked;
