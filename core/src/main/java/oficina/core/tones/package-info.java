/**
 * What is sounded and recognised by its frequencies: tones of the exchange, keys, music on hold.
 * Begin with {@link oficina.core.tones.Tones}. Each says which standard it follows.
 */
@NullMarked
package oficina.core.tones;

import org.jspecify.annotations.NullMarked;
