/**
 * What the exchange answers, and who may do what. Begin with {@link
 * oficina.core.decision.Decision}; a refusal changes nothing, and says what it speaks of.
 */
@NullMarked
package oficina.core.decision;

import org.jspecify.annotations.NullMarked;
