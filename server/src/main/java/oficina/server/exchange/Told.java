package oficina.server.exchange;

import oficina.core.events.ExchangeEvent;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/**
 * An event that has happened.
 *
 * @param after its call as it was afterwards; null when the event ended it or concerns none
 */
record Told(ExchangeEvent event, @Nullable Call after) {}
