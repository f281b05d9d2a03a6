/**
 * What happens at the exchange, in the words of ECMA-269, and nothing but that: begin with {@link
 * oficina.core.events.ExchangeEvent}. A family of them in each file. They are kept for good, so one
 * that is there is never changed; what was written in an earlier form is brought into this one when
 * it is read.
 */
@NullMarked
package oficina.core.events;

import org.jspecify.annotations.NullMarked;
