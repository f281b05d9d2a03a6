package oficina.core.contacts;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToIntFunction;

/** Among which contacts everybody is who fits what was typed, for each way in which they can. */
final class ContactIndex {
  private static final int GRAM = Query.SHORTEST_PART;

  private final Grouped<String> byDigits = new Grouped<>();
  private final Postings names = new Postings();
  private final Postings others = new Postings();
  private final Postings initials = new Postings();
  private final Postings keys = new Postings();
  private final Postings parts = new Postings();

  private interface Change {
    void apply(Postings postings, String word, Listed listed);
  }

  void add(Listed listed) {
    each(listed, Postings::add);
    for (String digits : listed.digits()) {
      byDigits.add(digits, listed);
    }
  }

  void remove(Listed listed) {
    each(listed, Postings::remove);
    for (String digits : listed.digits()) {
      byDigits.remove(digits, listed);
    }
  }

  private void each(Listed listed, Change change) {
    for (String word : listed.name()) {
      change.apply(names, word, listed);
    }
    for (String word : listed.other()) {
      change.apply(others, word, listed);
    }
    if (!listed.initials().isEmpty()) {
      change.apply(initials, listed.initials(), listed);
    }
    for (String word : listed.keys()) {
      if (!word.isEmpty()) {
        change.apply(keys, word, listed);
      }
    }
    grams(listed).forEach(gram -> change.apply(parts, gram, listed));
  }

  /** The parts of its numbers by which they are looked up, each once. */
  private static Set<String> grams(Listed listed) {
    Set<String> grams = new TreeSet<>();
    for (String digits : listed.digits()) {
      grams.addAll(gramsOf(digits));
    }
    return grams;
  }

  private static List<String> gramsOf(String digits) {
    List<String> grams = new ArrayList<>();
    for (int from = 0; from + GRAM <= digits.length(); from++) {
      grams.add(digits.substring(from, from + GRAM));
    }
    return grams;
  }

  /** Among whom everybody is who fits in this way; of several words, those of the rarest. */
  Collection<List<Listed>> candidates(Query query, Query.Fit fit) {
    return switch (fit) {
      case WHOLE_NUMBER -> List.of(byDigits.of(query.digits()));
      case NAME -> List.of(); // in their order in any case
      case WORDS_OF_NAME -> names.beginning(rarest(query.words(), names::count));
      case INITIALS -> query.isInitials() ? initials.beginning(query.initials()) : List.of();
      case WORD_OF_COMPANY ->
          query.words().size() == 1 ? others.beginning(query.joined()) : List.of();
      case MIXED -> {
        String word = rarest(query.words(), each -> names.count(each) + others.count(each));
        List<List<Listed>> both = new ArrayList<>(names.beginning(word));
        both.addAll(others.beginning(word));
        yield query.words().size() > 1 ? both : List.of();
      }
      case SPELLED -> query.isSpelled() ? keys.beginning(query.digits()) : List.of();
      case PART_OF_NUMBER ->
          query.isPart()
              ? parts.beginning(rarest(gramsOf(query.digits()), parts::count))
              : List.of();
    };
  }

  private static String rarest(Collection<String> words, ToIntFunction<String> count) {
    return Collections.min(words, Comparator.comparingInt(count));
  }
}
