/**
 * Desk telephones: the port by which one is connected ({@link oficina.server.handset.Handset}),
 * which are plugged in, whose they are now and what is kept of them. Begin with {@link
 * oficina.server.handset.Handsets}. A telephone reports keys and shows what it is told; whatever
 * they mean is decided by {@link oficina.core.handset.Telephone}.
 */
@NullMarked
package oficina.server.handset;

import org.jspecify.annotations.NullMarked;
