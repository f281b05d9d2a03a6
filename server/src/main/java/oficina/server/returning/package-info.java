/**
 * Who is to be called back: lists of people and lines, kept up with the history by {@link
 * oficina.server.returning.ToReturnStore}. The rule is {@link oficina.core.history.ToReturn}.
 */
@NullMarked
package oficina.server.returning;

import org.jspecify.annotations.NullMarked;
