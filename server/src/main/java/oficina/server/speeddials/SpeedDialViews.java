package oficina.server.speeddials;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Objects;
import oficina.core.call.Party;
import oficina.core.contacts.ContactId;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.cards.ContactViews;
import oficina.server.cards.ContactViews.ContactRow;
import oficina.server.cards.ContactViews.NumberView;
import oficina.server.contacts.Contacts;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Speed dials as the pages show them. */
@Component
class SpeedDialViews {
  private final Parties parties;
  private final Contacts contacts;
  private final ContactViews cards;

  SpeedDialViews(Parties parties, Contacts contacts, ContactViews cards) {
    this.parties = parties;
    this.contacts = contacts;
    this.cards = cards;
  }

  /**
   * A key.
   *
   * @param label the owner's own word for it; empty when it is the name
   * @param name of whom or what it is for; empty when that is gone
   * @param dial what to dial for it; absent when it leads nowhere any more
   * @param shown the number that is dialled, as people here write it
   * @param person whose lamp it shows
   * @param picture where its own picture is, or that of its contact; absent when there is neither
   * @param numbers all those of the contact it is for
   */
  record SpeedDialView(
      long id,
      int page,
      String label,
      SpeedDial.Kind kind,
      String of,
      String number,
      String name,
      @Schema(nullable = true) @Nullable String dial,
      String shown,
      @Schema(nullable = true) @Nullable Long person,
      @Schema(nullable = true) @Nullable String picture,
      List<NumberView> numbers) {}

  SpeedDialView view(SpeedDial dial, PersonId owner) {
    if (dial.kind() == SpeedDial.Kind.CONTACT) {
      return contacts
          .get(new ContactId(Long.parseLong(dial.of())), owner)
          .map(contact -> ofContact(dial, cards.row(contact)))
          .orElseGet(() -> view(dial, "", null, "", null));
    }
    PartyView party = parties.view(party(dial), owner);
    String shown = Objects.requireNonNullElse(party.number(), "");
    return view(dial, party.name(), party.dial(), shown, party.person());
  }

  private static Party party(SpeedDial dial) {
    return switch (dial.kind()) {
      case PERSON -> new Party.Employee(new PersonId(Long.parseLong(dial.of())));
      case GROUP -> new Party.Members(new GroupId(Long.parseLong(dial.of())));
      case SLOT -> new Party.Slot(dial.of());
      case NUMBER, CONTACT -> new Party.Outside(new PhoneNumber(dial.of()));
    };
  }

  /** Its number may have been another one when the key was made: then the first is meant. */
  private static SpeedDialView ofContact(SpeedDial dial, ContactRow contact) {
    NumberView number =
        contact.numbers().stream()
            .filter(each -> each.dial().equals(dial.number()))
            .findFirst()
            .or(() -> contact.numbers().stream().findFirst())
            .orElse(null);
    return new SpeedDialView(
        dial.id(),
        dial.page(),
        dial.label(),
        dial.kind(),
        dial.of(),
        dial.number(),
        contact.title(),
        number == null ? null : number.dial(),
        number == null ? "" : number.shown(),
        null,
        dial.picture() || !contact.picture()
            ? own(dial)
            : "/api/contacts/" + contact.id() + "/picture",
        contact.numbers());
  }

  private static SpeedDialView view(
      SpeedDial dial, String name, @Nullable String to, String shown, @Nullable Long person) {
    return new SpeedDialView(
        dial.id(),
        dial.page(),
        dial.label(),
        dial.kind(),
        dial.of(),
        dial.number(),
        name,
        to,
        shown,
        person,
        own(dial),
        List.of());
  }

  private static @Nullable String own(SpeedDial dial) {
    return dial.picture() ? "/api/speed-dials/" + dial.id() + "/picture" : null;
  }
}
