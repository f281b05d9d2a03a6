/**
 * Measurements, each beside its aim. Begin with {@link oficina.bench.Main}. Nothing here fails a
 * test.
 */
@NullMarked
package oficina.bench;

import org.jspecify.annotations.NullMarked;
