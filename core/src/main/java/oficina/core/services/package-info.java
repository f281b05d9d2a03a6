/**
 * The services for calls: placing, handling, sending on, parking, bringing together; and the
 * devices they are used at. Begin with {@link oficina.core.services.Placing} or {@link
 * oficina.core.services.Handling}. A service answers with the refusal, or with null when it was
 * carried out on the draft; what begins with {@code may} says only whether it would be refused, and
 * what is offered is asked of the same guards.
 */
@NullMarked
package oficina.core.services;

import org.jspecify.annotations.NullMarked;
