/**
 * What people and lines decide about their calls. Begin with {@link oficina.core.rules.CallRules}.
 * Data alone, with what it says of a moment and a caller; where that leads a call is found by
 * {@code oficina.core.routing}.
 */
@NullMarked
package oficina.core.rules;

import org.jspecify.annotations.NullMarked;
