package oficina.server.history;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import oficina.core.call.Owner;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactId;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.contacts.Contacts;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Finds out whose calls are meant when somebody narrows their history down. */
@Component
class NarrowedDown {
  /** So many contacts of a name at most are looked for by their numbers. */
  private static final int MOST_NAMED = 40;

  private final Contacts contacts;
  private final OfficeData office;

  NarrowedDown(Contacts contacts, OfficeData office) {
    this.contacts = contacts;
    this.office = office;
  }

  /** The numbers of whoever is called so today, whatever they were called then. */
  List<String> named(String text, PersonId me) {
    return contacts.ask(book -> book.find(text, me, MOST_NAMED)).stream()
        .flatMap(contact -> numbers(contact).stream())
        .distinct()
        .toList();
  }

  private static List<String> numbers(Contact contact) {
    return contact.card().numbers().stream().map(each -> each.number().e164()).toList();
  }

  /** The groups this person belongs to. */
  List<Group> linesOf(PersonId me) {
    return office.directory().groupsOf(me).stream()
        .flatMap(id -> office.directory().group(id).stream())
        .toList();
  }

  Wanted.Narrowing of(Narrow narrow, PersonId me) {
    return new Wanted.Narrowing(
        others(narrow, me),
        narrow.line() == null ? "" : Owner.key(new GroupId(narrow.line())),
        Objects.requireNonNullElse(narrow.outcome(), ""),
        narrow.from() == null ? null : beginning(narrow.from()),
        narrow.to() == null ? null : beginning(narrow.to().plusDays(1)));
  }

  private Instant beginning(LocalDate day) {
    return day.atStartOfDay(office.now().identity().zone()).toInstant();
  }

  private @Nullable List<String> others(Narrow narrow, PersonId me) {
    if (narrow.person() != null) {
      return List.of(Owner.key(new PersonId(narrow.person())));
    }
    if (narrow.contact() == null) {
      return null;
    }
    return contacts
        .get(new ContactId(narrow.contact()), me)
        .map(NarrowedDown::numbers)
        .orElse(List.of());
  }
}
