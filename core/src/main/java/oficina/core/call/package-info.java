/**
 * The smallest words of telephony: who takes part, what names a call or device, why something
 * ended. Begin with {@link oficina.core.call.Party}. Everything here is a value; nothing here
 * decides.
 */
@NullMarked
package oficina.core.call;

import org.jspecify.annotations.NullMarked;
