/**
 * What every request has to satisfy before anything else looks at it: its address, origin, form,
 * size and number. Begin with {@link oficina.server.door.Door}. Nothing that is refused here
 * reaches a controller, and every refusal is a problem document.
 */
@NullMarked
package oficina.server.door;

import org.jspecify.annotations.NullMarked;
