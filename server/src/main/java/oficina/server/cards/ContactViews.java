package oficina.server.cards;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.core.contacts.Contact;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactNumber;
import oficina.core.people.PersonId;
import oficina.server.contacts.ContactStore;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Contacts as the pages show them. */
@Component
public class ContactViews {
  private final OfficeData office;
  private final GroupStore groups;

  ContactViews(OfficeData office, GroupStore groups) {
    this.office = office;
    this.groups = groups;
  }

  /**
   * One number of a contact.
   *
   * @param shown as people here write it
   * @param dial what to dial for it
   */
  public record NumberView(ContactNumber.Type type, String shown, String extension, String dial) {}

  /**
   * A contact in a list.
   *
   * @param own whether it is the reader's own, and nobody else's to see
   */
  public record ContactRow(
      long id,
      boolean own,
      String title,
      String subtitle,
      boolean picture,
      List<NumberView> numbers) {}

  /**
   * A contact, opened.
   *
   * @param groups those of the reader's own groups it is in; the favourites have no name
   */
  record ContactView(
      ContactRow row,
      String name,
      String company,
      List<String> mails,
      List<String> addresses,
      List<String> tags,
      String note,
      String tone,
      List<String> groups) {}

  /**
   * What somebody did with a contact.
   *
   * @param before how it was shown before; absent when nothing was there
   */
  record ContactChange(
      String by,
      Instant at,
      ContactStore.Change what,
      @Schema(nullable = true) @Nullable ContactBefore before) {}

  /** How a card was. */
  record ContactBefore(
      String name,
      String company,
      List<NumberView> numbers,
      List<String> mails,
      List<String> addresses,
      List<String> tags,
      String note) {}

  public ContactRow row(Contact contact) {
    return row(contact, contact.card().numbers());
  }

  /**
   * The same with its numbers in another order.
   *
   * @param numbers all of them
   */
  public ContactRow row(Contact contact, List<ContactNumber> numbers) {
    Card card = contact.card();
    return new ContactRow(
        contact.id().value(),
        contact.owner() != null,
        card.title(),
        card.subtitle(),
        contact.picture(),
        views(numbers));
  }

  private List<NumberView> views(List<ContactNumber> numbers) {
    return numbers.stream()
        .map(
            each ->
                new NumberView(
                    each.type(),
                    office.region().show(each.number()),
                    each.extension(),
                    each.dial()))
        .toList();
  }

  ContactView opened(Contact contact, PersonId reader) {
    Card card = contact.card();
    return new ContactView(
        row(contact),
        card.name(),
        card.company(),
        card.mails(),
        card.addresses(),
        card.tags(),
        card.note(),
        card.tone(),
        groups.of(reader, contact.id()));
  }

  ContactChange change(ContactStore.Changed changed) {
    Card before = changed.before();
    return new ContactChange(
        office.now().nameOf(changed.by()),
        changed.at(),
        changed.what(),
        before == null ? null : before(before));
  }

  ContactBefore before(Card card) {
    return new ContactBefore(
        card.name(),
        card.company(),
        views(card.numbers()),
        card.mails(),
        card.addresses(),
        card.tags(),
        card.note());
  }
}
