/**
 * What is true at the exchange now: calls, connections, wishes, devices. Begin with {@link
 * oficina.core.events.ExchangeEvent} (all that can happen) and {@link oficina.core.state.Applying}
 * (what each changes). Nothing changes but by applying an event; the same events give the same
 * state.
 */
@NullMarked
package oficina.core.state;

import org.jspecify.annotations.NullMarked;
