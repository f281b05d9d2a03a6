package oficina.core.contacts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import oficina.core.contacts.Contact.Card;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * How a card that is read in stands to the contacts there are.
 *
 * @param existing what it is compared with; null when there is nothing like it
 */
public record Comparison(Kind kind, @Nullable Contact existing) {

  /** What a card that is read in is. */
  public enum Kind {
    /** Something is wrong with it. */
    BAD,
    NEW,
    /** There is one with the same name in files, and something else is written on it. */
    CHANGED,
    /** There is one just like it already. */
    SAME,
    /** There may be one of the same already: of the same name, or with one of its numbers. */
    DOUBTFUL
  }

  /**
   * Compares a card with what there is.
   *
   * @param book may hold what was read from the same file before
   * @param owner whose own it is to be; null for the office
   */
  public static Comparison of(
      Incoming incoming, ContactBook book, PersonId viewer, @Nullable PersonId owner) {
    Card card = incoming.card();
    if (card == null) {
      return new Comparison(Kind.BAD, null);
    }
    if (!incoming.uid().isEmpty()) {
      for (Contact each : book.byUid(incoming.uid(), viewer)) {
        return new Comparison(each.card().equals(card) ? Kind.SAME : Kind.CHANGED, each);
      }
    }
    Set<Contact> alike = new LinkedHashSet<>(book.named(card.title(), viewer));
    card.numbers().stream()
        .filter(number -> number.type() != ContactNumber.Type.MAIN)
        .forEach(number -> alike.addAll(book.at(number.number(), viewer)));
    Contact first = null;
    for (Contact each : alike) {
      if (each.card().equals(card)) {
        return new Comparison(Kind.SAME, each);
      }
      first = first == null ? each : first;
    }
    return new Comparison(first == null ? Kind.NEW : Kind.DOUBTFUL, first);
  }

  /** Everything that stands on either card; where both say something else, the first holds. */
  public static Card merged(Card kept, Card added) {
    Set<ContactNumber> numbers = new LinkedHashSet<>(kept.numbers());
    Set<String> dialled = new HashSet<>();
    kept.numbers().forEach(each -> dialled.add(each.dial()));
    added.numbers().stream().filter(each -> dialled.add(each.dial())).forEach(numbers::add);
    return new Card(
        kept.name().isEmpty() ? added.name() : kept.name(),
        kept.company().isEmpty() ? added.company() : kept.company(),
        List.copyOf(numbers),
        both(kept.mails(), added.mails()),
        both(kept.addresses(), added.addresses()),
        both(kept.tags(), added.tags()),
        notes(kept.note(), added.note()),
        kept.tone().isEmpty() ? added.tone() : kept.tone());
  }

  private static List<String> both(List<String> kept, List<String> added) {
    return new ArrayList<>(
        new LinkedHashSet<>(Stream.concat(kept.stream(), added.stream()).toList()));
  }

  private static String notes(String kept, String added) {
    if (added.isEmpty() || kept.contains(added)) {
      return kept;
    }
    return kept.isEmpty() ? added : kept + "\n" + added;
  }
}
