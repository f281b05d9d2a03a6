package oficina.server.people;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactId;
import oficina.core.contacts.ContactNumber;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.contacts.ChosenStore;
import oficina.server.contacts.Contacts;
import oficina.server.office.OfficeData;
import oficina.server.people.PartyView.Kind;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Names and numbers of parties as people read them. */
@Component
public class Parties {
  private static final int MOST_REMEMBERED = 20_000;

  private final OfficeData office;
  private final Contacts contacts;
  private final ChosenStore chosen;
  private final LoadingCache<Numbered, PartyView> outsiders =
      Caffeine.newBuilder().maximumSize(MOST_REMEMBERED).build(Viewing::outsider);
  private final Naming naming = new Naming();
  private final Viewing viewing = new Viewing();

  Parties(OfficeData office, Contacts contacts, ChosenStore chosen) {
    this.office = office;
    this.contacts = contacts;
    this.chosen = chosen;
  }

  /**
   * The party as somebody sees it, whose contacts say who has a number.
   *
   * @param viewer null for everybody in the office
   */
  public PartyView view(Party party, @Nullable PersonId viewer) {
    return known(party, viewer, null);
  }

  /** The same in a call in which they may have said whom of several with one number they had. */
  public PartyView view(Party party, PersonId viewer, CallId call) {
    return known(party, viewer, chosen.of(call, viewer));
  }

  private PartyView known(Party party, @Nullable PersonId viewer, @Nullable ContactId meant) {
    PartyView plain = party.accept(viewing);
    PhoneNumber number = party.outsideNumber();
    if (number == null) {
      return plain;
    }
    List<Contact> all = contacts.ask(book -> book.at(number, viewer));
    if (all.isEmpty()) {
      return office
          .directory()
          .personWithMobile(number)
          .filter(each -> !each.id().equals(viewer)) // one's own is a telephone, not a colleague
          .map(each -> plain.with(each.name(), KnownView.mobileOf(each)))
          .orElse(plain);
    }
    Contact one =
        all.size() == 1
            ? all.get(0)
            : all.stream().filter(each -> each.id().equals(meant)).findFirst().orElse(null);
    return one == null ? several(plain, all) : contact(plain, one, number, all);
  }

  /** Who it is has not been said; the company is known when all are of the same. */
  private static PartyView several(PartyView plain, List<Contact> all) {
    Set<String> companies = new HashSet<>();
    all.forEach(each -> companies.add(each.card().company()));
    String company = companies.size() == 1 ? companies.iterator().next() : "";
    KnownView known = new KnownView(null, "", null, "", false, candidates(all));
    return plain.with(company.isEmpty() ? plain.name() : company, known);
  }

  private static PartyView contact(
      PartyView plain, Contact contact, PhoneNumber number, List<Contact> all) {
    Contact.Card card = contact.card();
    ContactNumber.Type type =
        card.numbers().stream()
            .filter(each -> each.number().equals(number))
            .map(ContactNumber::type)
            .findFirst()
            .orElse(ContactNumber.Type.OTHER);
    return plain.with(
        card.title(),
        new KnownView(
            contact.id().value(),
            card.subtitle(),
            type,
            card.tone(),
            contact.picture(),
            all.size() == 1 ? List.of() : candidates(all)));
  }

  private static List<KnownView.Candidate> candidates(List<Contact> all) {
    return all.stream().map(KnownView.Candidate::of).toList();
  }

  /** The name as this person knows it, or the number when there is none; may be empty. */
  public String name(Party party, PersonId viewer) {
    return party.outsideNumber() == null ? name(party) : view(party, viewer).name();
  }

  /**
   * The name, or the number when there is no name, or nothing when there is neither; without what
   * anybody's contacts say.
   */
  public String name(Party party) {
    return party.accept(naming);
  }

  /** The number as people here write it; null when it is withheld. */
  public @Nullable String number(Party party) {
    return party.accept(viewing).number();
  }

  /** What to dial to call them; null when there is no way. */
  public @Nullable String dial(Party party) {
    return party.accept(viewing).dial();
  }

  /** Where they are: a team, a town; empty when unknown. */
  public String place(Party party) {
    return party.accept(viewing).place();
  }

  /** The name of a group's line; null when the line is no group's. */
  public @Nullable String groupLine(@Nullable Party line) {
    return line == null || line.group() == null ? null : name(line);
  }

  /** Whom a number belongs to never changes in one country, and finding it out takes long. */
  private record Numbered(Region region, PhoneNumber number) {}

  /** What each kind of party is called: asked far more often than where they are. */
  private final class Naming implements Party.Cases<String> {
    @Override
    public String of(Party.Employee party) {
      return office.now().nameOf(party.id());
    }

    @Override
    public String of(Party.Members party) {
      return office.now().nameOf(party.id());
    }

    @Override
    public String of(Party.Outside party) {
      return party.number() == null ? "" : office.region().show(party.number());
    }

    @Override
    public String of(Party.Emergency party) {
      return party.digits();
    }

    @Override
    public String of(Party.Slot party) {
      return party.number();
    }

    @Override
    public String of(Party.Nobody party) {
      return party.dialled();
    }

    @Override
    public String of(Party.Mailbox party) {
      return name(party.owner());
    }

    @Override
    public String of(Party.Welcome party) {
      return name(new Party.Members(party.line()));
    }

    @Override
    public String of(Party.Queue party) {
      return name(new Party.Members(party.line()));
    }

    @Override
    public String of(Party.Attendant party) {
      String extension = office.settings().voicemail().extension();
      return extension == null ? "" : extension;
    }
  }

  /** How each kind of party is shown. */
  private final class Viewing implements Party.Cases<PartyView> {
    @Override
    public PartyView of(Party.Employee party) {
      String name = name(party);
      Person person = office.directory().person(party.id()).orElse(null);
      String extension = person == null ? null : person.extension();
      String team = person == null ? "" : person.team();
      return new PartyView(Kind.PERSON, name, extension, team, party.id().value(), extension, null);
    }

    @Override
    public PartyView of(Party.Members party) {
      String extension = office.directory().group(party.id()).map(Group::extension).orElse(null);
      return new PartyView(Kind.GROUP, name(party), extension, "", null, extension, null);
    }

    @Override
    public PartyView of(Party.Outside party) {
      PhoneNumber number = party.number();
      if (number == null) {
        return new PartyView(Kind.WITHHELD, "", null, "", null, null, null);
      }
      return outsiders.get(new Numbered(office.region(), number));
    }

    private static PartyView outsider(Numbered who) {
      String shown = who.region().show(who.number());
      String place = who.region().place(who.number(), Locale.ENGLISH);
      return new PartyView(Kind.OUTSIDE, shown, shown, place, null, who.number().e164(), null);
    }

    @Override
    public PartyView of(Party.Emergency party) {
      return digits(Kind.EMERGENCY, name(party));
    }

    @Override
    public PartyView of(Party.Slot party) {
      return digits(Kind.SLOT, name(party));
    }

    @Override
    public PartyView of(Party.Nobody party) {
      return digits(Kind.NOBODY, name(party));
    }

    @Override
    public PartyView of(Party.Mailbox party) {
      PartyView owner = party.owner().accept(this);
      return new PartyView(
          Kind.MAILBOX, owner.name(), owner.number(), "", owner.person(), owner.dial(), null);
    }

    @Override
    public PartyView of(Party.Welcome party) {
      return of(new Party.Members(party.line()));
    }

    @Override
    public PartyView of(Party.Queue party) {
      return of(new Party.Members(party.line()));
    }

    @Override
    public PartyView of(Party.Attendant party) {
      return digits(Kind.ATTENDANT, name(party));
    }

    private PartyView digits(Kind kind, String digits) {
      return new PartyView(kind, digits, digits, "", null, digits, null);
    }
  }
}
