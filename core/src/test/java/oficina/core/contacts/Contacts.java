package oficina.core.contacts;

import java.util.Arrays;
import java.util.List;
import oficina.core.contacts.Contact.Card;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/** Contacts for tests. */
final class Contacts {
  static final PersonId INES = new PersonId(1);
  static final PersonId TOMASZ = new PersonId(2);

  private Contacts() {}

  static Contact of(long id, String name, String company, String... numbers) {
    return of(id, null, name, company, List.of(), numbers);
  }

  static Contact of(
      long id,
      @Nullable PersonId owner,
      String name,
      String company,
      List<String> tags,
      String... numbers) {
    List<ContactNumber> typed =
        Arrays.stream(numbers)
            .map(each -> new ContactNumber(ContactNumber.Type.WORK, new PhoneNumber(each), ""))
            .toList();
    Card card = new Card(name, company, typed, List.of(), List.of(), tags, "", "");
    return new Contact(new ContactId(id), owner, "uid-" + id, card, false);
  }
}
