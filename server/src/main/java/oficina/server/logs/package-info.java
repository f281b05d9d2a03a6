/**
 * What this server says while it runs, for machines to read. Begin with {@link
 * oficina.server.logs.NamelessLines}.
 */
@NullMarked
package oficina.server.logs;

import org.jspecify.annotations.NullMarked;
