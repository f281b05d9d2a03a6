/**
 * Runs the exchange. Begin with {@link oficina.server.exchange.ExchangeLoop}: one thread,
 * everything in the order of its time. Events go to the journal before anything is derived from
 * them.
 */
@NullMarked
package oficina.server.exchange;

import org.jspecify.annotations.NullMarked;
