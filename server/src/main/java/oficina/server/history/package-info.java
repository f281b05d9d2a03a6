/**
 * The calls people have had, and those to return. Begin with {@link
 * oficina.server.history.HistoryStore}. Derived from the journal; every query is one person&#39;s
 * own.
 */
@NullMarked
package oficina.server.history;

import org.jspecify.annotations.NullMarked;
