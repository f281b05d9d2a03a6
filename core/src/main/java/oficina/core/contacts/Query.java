package oficina.core.contacts;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import oficina.core.people.Words;

/**
 * What somebody has typed who looks for a contact, and how well a contact fits it. Every word must
 * fit: it begins a word of the name, the company or a tag, is a part of a number, spells a word on
 * the keys of a telephone (ITU-T E.161), or all together are initials.
 *
 * @param joined all words with a blank between
 * @param digits what was typed when it is the part of a number, otherwise empty
 */
record Query(List<String> words, String joined, String digits) {
  /** How a contact can fit, the best first. The order is the one people expect. */
  enum Fit {
    WHOLE_NUMBER(0),
    NAME(2),
    WORDS_OF_NAME(3),
    INITIALS(5),
    /** Of the company, or a tag. */
    WORD_OF_COMPANY(6),
    MIXED(7),
    SPELLED(8),
    PART_OF_NUMBER(9);

    private final int rank;

    Fit(int rank) {
      this.rank = rank;
    }

    /** The same measure that people are found by. */
    int rank() {
      return rank;
    }
  }

  /** Fewer digits are in every number. */
  static final int SHORTEST_PART = 3;

  private static final int SHORTEST_SPELLED = 2;

  static Query of(String typed) {
    List<String> words = Words.of(typed);
    boolean number = typed.matches("[\\s+()./\\-0-9]*");
    return new Query(words, String.join(" ", words), number ? Listed.digitsOf(plain(typed)) : "");
  }

  /**
   * A number as it is kept, however it was written: without the trunk prefix in brackets behind a
   * country code, or the prefix that one dials for abroad (ITU-T E.123).
   */
  private static String plain(String typed) {
    String abroad = typed.strip().startsWith("00") ? "+" + typed.strip().substring(2) : typed;
    return abroad.contains("+") ? abroad.replace("(0)", "") : abroad;
  }

  boolean isEmpty() {
    return words.isEmpty();
  }

  /** Whether it can be a part of a number. */
  boolean isPart() {
    return digits.length() >= SHORTEST_PART;
  }

  /** Whether it can spell a word on the keys. */
  boolean isSpelled() {
    return digits.length() >= SHORTEST_SPELLED && digits.chars().allMatch(c -> c >= '2');
  }

  /** Whether it can be initials: one word of some letters, or several of one each. */
  boolean isInitials() {
    return words.size() > 1
        ? words.stream().allMatch(word -> word.codePointCount(0, word.length()) == 1)
        : joined.length() > 1;
  }

  String initials() {
    return String.join("", words);
  }

  /** The best way in which a contact fits; empty when it does in none. */
  Optional<Fit> best(Listed listed) {
    return Arrays.stream(Fit.values()).filter(fit -> fits(listed, fit)).findFirst();
  }

  /** Whether a contact fits in this way. */
  boolean fits(Listed listed, Fit fit) {
    return switch (fit) {
      case WHOLE_NUMBER -> isPart() && Arrays.asList(listed.digits()).contains(digits);
      case NAME -> listed.joined().startsWith(joined);
      case WORDS_OF_NAME -> words.stream().allMatch(listed::nameBegins);
      case INITIALS -> isInitials() && listed.initials().startsWith(initials());
      case WORD_OF_COMPANY -> words.size() == 1 && listed.otherBegins(joined);
      case MIXED ->
          words.size() > 1
              && words.stream()
                  .allMatch(word -> listed.nameBegins(word) || listed.otherBegins(word));
      case SPELLED -> isSpelled() && listed.spells(digits);
      case PART_OF_NUMBER -> isPart() && listed.hasPart(digits);
    };
  }
}
