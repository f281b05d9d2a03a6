/**
 * What callers hear before they leave a message: {@link oficina.server.greetings.Greetings} finds
 * it, typed, spoken or uploaded, or has the usual sentence spoken.
 */
@NullMarked
package oficina.server.greetings;

import org.jspecify.annotations.NullMarked;
