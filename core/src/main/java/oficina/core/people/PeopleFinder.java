package oficina.core.people;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import oficina.core.numbers.KeypadLetters;

/**
 * Finds people as someone in a hurry types them: an extension or the beginning of it, any part of a
 * name, initials, or a name spelled on the telephone's keys (ITU-T E.161). Case, accents and
 * letters that are not on every keyboard do not matter. The best match comes first.
 */
public final class PeopleFinder {
  private final List<Entry> entries;

  private record Entry(
      Person person,
      String name,
      List<String> words,
      String initials,
      List<String> keys,
      List<String> team) {}

  /**
   * Somebody who was found.
   *
   * @param rank how well they fit what was typed, smaller being better; 2 for the beginning of the
   *     name, 3 for that of a word of it, 5 for initials
   */
  public record Found(Person person, int rank) {}

  private record Hit(Person person, int rank, String order) {}

  public PeopleFinder(List<Person> people) {
    entries = people.stream().map(PeopleFinder::entryOf).toList();
  }

  private static Entry entryOf(Person person) {
    List<String> words = Words.of(person.name());
    StringBuilder initials = new StringBuilder();
    words.forEach(word -> initials.append(word.charAt(0)));
    return new Entry(
        person,
        String.join(" ", words),
        words,
        initials.toString(),
        words.stream().map(KeypadLetters::digitsOf).toList(),
        Words.of(person.team()));
  }

  /**
   * People who match, best first.
   *
   * @param query what was typed; a blank one finds nobody
   * @param limit at most this many
   */
  public List<Person> find(String query, int limit) {
    return ranked(query, limit).stream().map(Found::person).toList();
  }

  /** The same, with how well each fits. */
  public List<Found> ranked(String query, int limit) {
    List<String> wanted = Words.of(query);
    if (wanted.size() > 1 && wanted.stream().allMatch(word -> word.matches("[0-9]+"))) {
      wanted = List.of(String.join("", wanted)); // an extension typed with blanks
    }
    if (wanted.isEmpty()) {
      return List.of();
    }
    List<Hit> hits = new ArrayList<>();
    for (Entry entry : entries) {
      int rank = rank(entry, wanted);
      if (rank < NO_MATCH) {
        // Extensions are expected in their own order, everything else by name.
        hits.add(
            new Hit(entry.person(), rank, rank == 1 ? entry.person().extension() : entry.name()));
      }
    }
    return hits.stream()
        .sorted(
            Comparator.comparingInt(Hit::rank)
                .thenComparing(Hit::order)
                .thenComparing(hit -> hit.person().extension()))
        .limit(limit)
        .map(hit -> new Found(hit.person(), hit.rank()))
        .toList();
  }

  private static final int NO_MATCH = 100;

  /** How well an entry matches; smaller is better. The order is the one people expect. */
  private static int rank(Entry entry, List<String> wanted) {
    String extension = entry.person().extension();
    if (wanted.size() == 1) {
      String word = wanted.get(0);
      if (extension.equals(word)) {
        return 0;
      }
      if (extension.startsWith(word)) {
        return 1;
      }
      if (entry.name().startsWith(word)) {
        return 2;
      }
      if (entry.words().stream().anyMatch(w -> w.startsWith(word))) {
        return 3;
      }
      if (word.length() > 1 && entry.initials().startsWith(word)) {
        return 5;
      }
      if (spells(entry, word)) {
        return 6;
      }
      if (word.length() > 1 && (extension.contains(word) || entry.name().contains(word))) {
        return 7;
      }
      if (word.length() > 2 && entry.team().stream().anyMatch(w -> w.startsWith(word))) {
        return 8;
      }
      return NO_MATCH;
    }
    String all = String.join(" ", wanted);
    if (entry.name().startsWith(all)) {
      return 2;
    }
    if (wanted.stream().allMatch(w -> beginsName(entry, w))) {
      return 4;
    }
    if (wanted.stream().allMatch(w -> w.length() == 1)
        && entry.initials().startsWith(String.join("", wanted))) {
      return 5;
    }
    if (wanted.stream().allMatch(w -> beginsName(entry, w) || beginsOther(entry, w))) {
      return 6;
    }
    return NO_MATCH;
  }

  private static boolean beginsName(Entry entry, String word) {
    return entry.words().stream().anyMatch(w -> w.startsWith(word));
  }

  private static boolean beginsOther(Entry entry, String word) {
    return entry.person().extension().startsWith(word)
        || entry.team().stream().anyMatch(w -> w.startsWith(word));
  }

  private static boolean spells(Entry entry, String digits) {
    return digits.length() > 1
        && digits.chars().allMatch(c -> c >= '2' && c <= '9')
        && entry.keys().stream().anyMatch(key -> key.startsWith(digits));
  }
}
