/**
 * What goes wrong, as problem documents (RFC 9457): a code and values, never a sentence. Begin with
 * {@link oficina.server.problems.Problems}.
 */
@NullMarked
package oficina.server.problems;

import org.jspecify.annotations.NullMarked;
