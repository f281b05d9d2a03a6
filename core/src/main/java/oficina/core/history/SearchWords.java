package oficina.core.history;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Pattern;
import oficina.core.people.Words;
import org.jspecify.annotations.Nullable;

/**
 * The rule by which entries of the history are found: every word that is looked for begins a word
 * of the entry, and any part of a number of at least three digits does.
 */
public final class SearchWords {
  /** Characters of a word that count. */
  public static final int LONGEST = 40;

  private static final int MOST_WANTED = 6;
  private static final int SHORTEST_PART = 3;

  private static final Pattern BETWEEN_DIGITS = Pattern.compile("[\\s+()-]");
  private static final Pattern NUMBER = Pattern.compile("[0-9]{3,18}");

  private SearchWords() {}

  /**
   * The words by which something is found.
   *
   * @param texts names, places, numbers as they are shown; null ones say nothing
   */
  public static SortedSet<String> of(List<@Nullable String> texts) {
    SortedSet<String> words = new TreeSet<>();
    for (String text : texts) {
      if (text != null) {
        Words.of(text).forEach(word -> words.add(cut(word)));
        String digits = BETWEEN_DIGITS.matcher(text).replaceAll("");
        if (NUMBER.matcher(digits).matches()) {
          for (int from = 0; from + SHORTEST_PART <= digits.length(); from++) {
            words.add(digits.substring(from));
          }
        }
      }
    }
    return words;
  }

  /** What is wanted of a typed text, the longest word first; empty when it has no words. */
  public static List<String> wanted(String typed) {
    return Words.of(typed).stream()
        .map(SearchWords::cut)
        .distinct()
        .sorted(Comparator.comparingInt(String::length).reversed())
        .limit(MOST_WANTED)
        .toList();
  }

  /** Whether each of the wanted words begins one of these. */
  public static boolean finds(Collection<String> wanted, Collection<String> words) {
    return wanted.stream().allMatch(word -> words.stream().anyMatch(own -> own.startsWith(word)));
  }

  private static String cut(String word) {
    return word.length() > LONGEST ? word.substring(0, LONGEST) : word;
  }
}
