/**
 * Telephone numbers: what a typed text means, how a number is written, where it belongs (ITU-T
 * E.164, E.123, E.161; RFC 3966). Begin with {@link oficina.core.numbers.DialPlan}. Emergency
 * numbers are never refused; what is refused comes with the reason.
 */
@NullMarked
package oficina.core.numbers;

import org.jspecify.annotations.NullMarked;
