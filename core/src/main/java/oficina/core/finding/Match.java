package oficina.core.finding;

import java.util.List;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactNumber;
import oficina.core.people.Person;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who was found: a colleague or a contact, the other one being null.
 *
 * @param numbers of the contact, first the one that is most likely meant
 */
public record Match(
    @Nullable Person person, @Nullable Contact contact, List<ContactNumber> numbers) {

  /** A colleague who was found. */
  public static Match of(Person person) {
    return new Match(person, null, List.of());
  }
}
