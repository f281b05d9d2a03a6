package oficina.core.contacts;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.NavigableMap;
import java.util.TreeMap;

/** Which contacts have which words: those of all words that begin in some way are found at once. */
final class Postings {
  private final TreeMap<String, List<Listed>> byWord = new TreeMap<>();

  void add(String word, Listed listed) {
    byWord.computeIfAbsent(word, w -> new ArrayList<>(1)).add(listed);
  }

  void remove(String word, Listed listed) {
    byWord.computeIfPresent(
        word,
        (w, all) -> {
          all.remove(listed);
          return all.isEmpty() ? null : all;
        });
  }

  /** The contacts of every word with this beginning; one with two such words comes twice. */
  Collection<List<Listed>> beginning(String start) {
    NavigableMap<String, List<Listed>> found =
        byWord.subMap(start, true, start + Character.MAX_VALUE, true);
    return found.values();
  }

  int count(String start) {
    int count = 0;
    for (List<Listed> each : beginning(start)) {
      count += each.size();
    }
    return count;
  }
}
