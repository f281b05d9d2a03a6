/**
 * The services of the exchange: what is done or refused when somebody asks. Begin with {@link
 * oficina.core.exchange.Deciding}; where a call goes that nobody takes is {@link
 * oficina.core.exchange.Onward}. Deciding has no side effect, and what is offered is asked of the
 * guards that refuse.
 */
@NullMarked
package oficina.core.exchange;

import org.jspecify.annotations.NullMarked;
