/**
 * How things look to people: a call to somebody in it, a colleague to everybody, a line to those
 * who answer it. Begin with {@link oficina.core.seen.Standpoint}. All of it follows from the state
 * alone, and screens and telephones say the same because they ask here.
 */
@NullMarked
package oficina.core.seen;

import org.jspecify.annotations.NullMarked;
