package oficina.core.contacts;

import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import oficina.core.numbers.KeypadLetters;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.Words;

/**
 * A contact with everything it is found by, worked out once.
 *
 * @param slot its place among all, for marking it
 * @param name words of what it is shown as
 * @param other words of company and tags
 * @param digits its numbers as they are written here and abroad, digits alone
 */
record Listed(
    int slot,
    Contact contact,
    String[] name,
    String[] other,
    String joined,
    String initials,
    String[] keys,
    String[] digits) {

  /** As people look for somebody in a card index; companies stand among the names. */
  static final Comparator<Listed> BY_NAME =
      Comparator.comparing(Listed::joined).thenComparing(each -> each.contact().id().value());

  static Listed of(int slot, Contact contact, Region region) {
    Contact.Card card = contact.card();
    List<String> name = Words.of(card.title());
    Set<String> other = new LinkedHashSet<>(Words.of(card.subtitle()));
    card.tags().forEach(tag -> other.addAll(Words.of(tag)));
    StringBuilder initials = new StringBuilder();
    name.forEach(word -> initials.appendCodePoint(word.codePointAt(0)));
    return new Listed(
        slot,
        contact,
        name.toArray(String[]::new),
        other.toArray(String[]::new),
        String.join(" ", name),
        initials.toString(),
        name.stream().map(KeypadLetters::digitsOf).toArray(String[]::new),
        card.numbers().stream()
            .flatMap(each -> written(each.number(), region))
            .distinct()
            .toArray(String[]::new));
  }

  /** The digits of a number as it is written here and abroad. */
  static Stream<String> written(PhoneNumber number, Region region) {
    return Stream.of(number.e164(), region.show(number)).map(Listed::digitsOf);
  }

  /** The digits of a text alone. */
  static String digitsOf(String text) {
    StringBuilder digits = new StringBuilder(text.length());
    text.chars().filter(c -> c >= '0' && c <= '9').forEach(c -> digits.append((char) c));
    return digits.toString();
  }

  boolean nameBegins(String word) {
    return begins(name, word);
  }

  boolean otherBegins(String word) {
    return begins(other, word);
  }

  boolean spells(String wanted) {
    return begins(keys, wanted);
  }

  boolean hasPart(String wanted) {
    return Arrays.stream(digits).anyMatch(each -> each.contains(wanted));
  }

  private static boolean begins(String[] words, String wanted) {
    for (String word : words) {
      if (word.startsWith(wanted)) {
        return true;
      }
    }
    return false;
  }
}
