/** Lines that several people share. Begin with {@link oficina.server.lines.LineController}. */
@NullMarked
package oficina.server.lines;

import org.jspecify.annotations.NullMarked;
