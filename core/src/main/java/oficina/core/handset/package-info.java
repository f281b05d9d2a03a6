/**
 * What a desk telephone does: keys come in, a display, lamps and sounds go out, and services are
 * asked of the exchange. Begin with {@link oficina.core.handset.Telephone}. A telephone reports
 * keys (as in RFC 4730) and shows what it is told; whatever they mean is decided here.
 */
@NullMarked
package oficina.core.handset;

import org.jspecify.annotations.NullMarked;
