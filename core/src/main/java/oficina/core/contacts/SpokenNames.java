package oficina.core.contacts;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import oficina.core.office.Office;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** Names that somebody who speaks to this office may well say, and no dictionary has. */
public final class SpokenNames {
  /** Shorter ones sound like many another word. */
  private static final int SHORTEST = 3;

  private static final Pattern BETWEEN_WORDS = Pattern.compile("[^\\p{L}\\p{M}'’]+");

  private SpokenNames() {}

  /**
   * The words of names: of people first, then of groups, then of the newest contacts.
   *
   * @param reader who is to read what was said; contacts of anybody else's own are not among them.
   *     Null when several people read it: then there are only those of the whole office
   * @param most how many words at most
   * @return each once, as it is written
   */
  public static List<String> of(
      Office office, ContactBook contacts, @Nullable PersonId reader, int most) {
    Stream<String> inside =
        Stream.concat(
            office.directory().people().stream().map(Person::name),
            office.directory().groups().stream().map(Group::name));
    // Each contact has at least one word: no more of them can be needed.
    Stream<String> outside =
        contacts.newest(reader, most).stream()
            .map(Contact::card)
            .flatMap(card -> Stream.of(card.name(), card.company()));
    return Stream.concat(inside, outside)
        .flatMap(SpokenNames::words)
        .distinct()
        .limit(most)
        .toList();
  }

  private static Stream<String> words(String name) {
    return Stream.of(BETWEEN_WORDS.split(name))
        .filter(word -> word.length() >= SHORTEST && Character.isUpperCase(word.codePointAt(0)));
  }
}
