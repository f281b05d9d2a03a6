/**
 * Finding whom to call while somebody types. Begin with {@link
 * oficina.server.finding.FindController}.
 */
@NullMarked
package oficina.server.finding;

import org.jspecify.annotations.NullMarked;
