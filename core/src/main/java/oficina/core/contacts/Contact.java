package oficina.core.contacts;

import java.util.List;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * Somebody outside the office, or a company there.
 *
 * @param owner whose own contact it is; null for one of the whole office
 * @param uid what it is called by in files, which tells a changed card from a new one (RFC 6350,
 *     section 6.7.6)
 * @param picture whether there is one
 */
public record Contact(
    ContactId id, @Nullable PersonId owner, String uid, Card card, boolean picture) {

  /**
   * What is written on a card.
   *
   * @param name empty for a company of which one knows nobody
   * @param company empty when there is none
   * @param tone name of the ring tone they are announced by; empty for the usual one
   */
  public record Card(
      String name,
      String company,
      List<ContactNumber> numbers,
      List<String> mails,
      List<String> addresses,
      List<String> tags,
      String note,
      String tone) {
    public Card {
      numbers = List.copyOf(numbers);
      mails = List.copyOf(mails);
      addresses = List.copyOf(addresses);
      tags = List.copyOf(tags);
    }

    /** What it is shown as: the name, or the company when there is no name. */
    public String title() {
      return name.isEmpty() ? company : name;
    }

    /** The company, where it is not what the card is shown as. */
    public String subtitle() {
      return name.isEmpty() ? "" : company;
    }
  }

  /** Whether this person may know of it; everybody, when it is null. */
  public boolean visibleTo(@Nullable PersonId viewer) {
    return owner == null || owner.equals(viewer);
  }
}
