package oficina.core.contacts;

import java.util.List;
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
  /** Said of a contact that does not fit. */
  static final int NO_MATCH = 100;

  private static final int WHOLE_NUMBER = 0;
  private static final int NAME = 2;
  private static final int WORD_OF_NAME = 3;
  private static final int WORDS_OF_NAME = 4;
  private static final int INITIALS = 5;
  private static final int COMPANY = 6;
  private static final int MIXED = 7;
  private static final int SPELLED = 8;
  private static final int PART_OF_NUMBER = 9;

  /** Fewer digits are in every number. */
  static final int SHORTEST_PART = 3;

  private static final int SHORTEST_SPELLED = 2;

  static Query of(String typed) {
    List<String> words = Words.of(typed);
    boolean number = typed.matches("[\\s+()./\\-0-9]*");
    return new Query(words, String.join(" ", words), number ? Listed.digitsOf(typed) : "");
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

  /** How well it fits, smaller being better. The order is the one people expect. */
  int rank(Listed listed) {
    if (isPart()) {
      for (String number : listed.digits()) {
        if (number.equals(digits)) {
          return WHOLE_NUMBER;
        }
      }
    }
    if (listed.joined().startsWith(joined)) {
      return NAME;
    }
    boolean inName = true;
    boolean anywhere = true;
    boolean company = false;
    for (String word : words) {
      boolean name = listed.nameBegins(word);
      boolean other = listed.otherBegins(word);
      inName &= name;
      anywhere &= name || other;
      company |= other;
    }
    if (inName) {
      return words.size() == 1 ? WORD_OF_NAME : WORDS_OF_NAME;
    }
    if (isInitials() && listed.initials().startsWith(initials())) {
      return INITIALS;
    }
    if (anywhere && company && words.size() == 1) {
      return COMPANY;
    }
    if (anywhere) {
      return MIXED;
    }
    if (isSpelled() && listed.spells(digits)) {
      return SPELLED;
    }
    return isPart() && listed.hasPart(digits) ? PART_OF_NUMBER : NO_MATCH;
  }
}
