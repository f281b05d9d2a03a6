/**
 * The exchange itself: begin with {@link oficina.core.exchange.Exchange}. {@link
 * oficina.core.exchange.Deciding} finds who decides and what follows from every decision; {@link
 * oficina.core.exchange.Services} has the services. Deciding has no side effect, and what is
 * offered is asked of the guards that refuse.
 */
@NullMarked
package oficina.core.exchange;

import org.jspecify.annotations.NullMarked;
