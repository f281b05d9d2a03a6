/**
 * The whole office at one moment. Begin with {@link oficina.core.office.Office}. Immutable: a
 * change is a new office, swapped whole, and calls in progress are not touched by it.
 */
@NullMarked
package oficina.core.office;

import org.jspecify.annotations.NullMarked;
