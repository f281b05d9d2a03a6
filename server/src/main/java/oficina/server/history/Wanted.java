package oficina.server.history;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import oficina.core.history.SearchWords;
import org.jspecify.annotations.Nullable;

/**
 * Which entries of a person's history are wanted.
 *
 * @param words of which each begins a word of the entry; empty for all entries
 * @param named whoever is called by these words in the person's contacts, as {@link
 *     oficina.core.history.ToReturn#key} has them: their entries are found as well
 */
record Wanted(
    HistoryPageStore.Filter filter, List<String> words, List<String> named, Narrowing narrowing) {

  /** Whether an entry with these words, of a call with this other, is found. */
  boolean finds(Collection<String> entryWords, @Nullable String other) {
    return named.contains(other) || SearchWords.finds(words, entryWords);
  }

  /**
   * What else an entry must have.
   *
   * @param others with whom the call was; null for anybody
   * @param line the key of a group's line; empty for any
   * @param outcome what came of it; empty for anything
   * @param since no older ones; null for all
   * @param until only older ones; null for all
   */
  record Narrowing(
      @Nullable List<String> others,
      String line,
      String outcome,
      @Nullable Instant since,
      @Nullable Instant until) {
    /** Nothing else. */
    static final Narrowing NONE = new Narrowing(null, "", "", null, null);

    /** Whether it leaves so little that it is better found by that than by when it was. */
    boolean leavesLittle() {
      return others != null || !line.isEmpty() || !outcome.isEmpty();
    }
  }
}
