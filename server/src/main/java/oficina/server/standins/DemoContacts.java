package oficina.server.standins;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactNumber;
import oficina.core.numbers.PhoneNumber;
import oficina.server.contacts.Contacts;
import oficina.server.contacts.NewContact;
import oficina.server.office.DemoOffice;
import oficina.server.office.OfficeData;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** The contacts that a new demo office knows. */
record DemoContacts(OfficeData office, Contacts contacts) {

  void add() {
    List<NewContact> all =
        DemoOffice.read("contacts.csv").stream()
            .map(line -> new NewContact("urn:uuid:" + UUID.randomUUID(), card(line)))
            .toList();
    contacts.addAll(null, all, office.directory().people().get(0).id());
  }

  private static Card card(CSVRecord line) {
    return new Card(
        text(line, "name"),
        text(line, "company"),
        parts(line, "numbers").stream().map(DemoContacts::number).toList(),
        parts(line, "mail"),
        text(line, "address").isEmpty() ? List.of() : List.of(text(line, "address")),
        parts(line, "tags"),
        text(line, "note"),
        "");
  }

  private static ContactNumber number(String typed) {
    String[] typeAndNumber = typed.split(":");
    return new ContactNumber(
        ContactNumber.Type.valueOf(typeAndNumber[0]), new PhoneNumber(typeAndNumber[1]), "");
  }

  private static String text(CSVRecord line, String column) {
    @Nullable String value = line.get(column);
    return Objects.requireNonNullElse(value, "");
  }

  private static List<String> parts(CSVRecord line, String column) {
    String text = text(line, column);
    return text.isEmpty() ? List.of() : Arrays.asList(text.split(" "));
  }
}
