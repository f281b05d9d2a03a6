package oficina.server.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.history.SearchWords;
import oficina.server.database.Times;
import org.jspecify.annotations.Nullable;

/**
 * Which entries of a person's history are wanted.
 *
 * @param words of which each begins a word of the entry; empty for all entries
 * @param named whoever is called by these words in the person's contacts, as {@link
 *     oficina.core.history.ToReturn#key} has them: their entries are found as well
 */
record Wanted(
    HistoryStore.Filter filter, List<String> words, List<String> named, Narrowing narrowing) {

  /** Whether an entry with these words, of a call with this other, is found. */
  boolean finds(Collection<String> entryWords, @Nullable String other) {
    return named.contains(other) || SearchWords.finds(words, entryWords);
  }

  /** What else an entry must have, as SQL that an index answers, with its parameters. */
  record Narrowing(String sql, Map<String, Object> parameters) {

    /** Whether it leaves so little that it is better found by that than by when it was. */
    boolean hasOwnIndex() {
      return parameters.keySet().stream().anyMatch(Set.of("others", "line", "outcome")::contains);
    }

    /**
     * @param others with whom the call was; null for anybody
     * @param line the list of a group's line; empty for any
     * @param outcome what came of it; empty for anything
     * @param since no older ones; null for all
     * @param until only older ones; null for all
     */
    static Narrowing of(
        @Nullable List<String> others,
        String line,
        String outcome,
        @Nullable Instant since,
        @Nullable Instant until) {
      List<String> sql = new ArrayList<>(List.of("true"));
      Map<String, Object> parameters = new HashMap<>();
      if (others != null) {
        sql.add("other_key in (:others)");
        parameters.put("others", others.isEmpty() ? List.of("") : others);
      }
      if (!line.isEmpty()) {
        sql.add("line_key = :line");
        parameters.put("line", line);
      }
      if (!outcome.isEmpty()) {
        sql.add(HistoryStore.written("n.outcome = :outcome"));
        parameters.put("outcome", outcome);
      }
      if (since != null) {
        sql.add("began >= :since");
        parameters.put("since", Times.utc(since));
      }
      if (until != null) {
        sql.add("began < :until");
        parameters.put("until", Times.utc(until));
      }
      return new Narrowing(String.join(" and ", sql), parameters);
    }
  }
}
