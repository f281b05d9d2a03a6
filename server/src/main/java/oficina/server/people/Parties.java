package oficina.server.people;

import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.server.office.OfficeData;
import oficina.server.people.PartyView.Kind;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Names and numbers of parties as people read them. */
@Component
public class Parties {
  private static final int MOST_REMEMBERED = 20_000;

  private final OfficeData office;
  private final Map<Numbered, PartyView> outsiders = new ConcurrentHashMap<>();
  private final Naming naming = new Naming();
  private final Viewing viewing = new Viewing();

  Parties(OfficeData office) {
    this.office = office;
  }

  public PartyView view(Party party) {
    return party.accept(viewing);
  }

  /** The name, or the number when there is no name, or nothing when there is neither. */
  public String name(Party party) {
    return party.accept(naming);
  }

  /** The number as people here write it; null when it is withheld. */
  public @Nullable String number(Party party) {
    return view(party).number();
  }

  /** What to dial to call them; null when there is no way. */
  public @Nullable String dial(Party party) {
    return view(party).dial();
  }

  /** Where they are: a team, a town; empty when unknown. */
  public String place(Party party) {
    return view(party).place();
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
      return office.directory().group(party.id()).map(Group::name).orElse("");
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
      return new PartyView(Kind.PERSON, name, extension, team, party.id().value(), extension);
    }

    @Override
    public PartyView of(Party.Members party) {
      String extension = office.directory().group(party.id()).map(Group::extension).orElse(null);
      return new PartyView(Kind.GROUP, name(party), extension, "", null, extension);
    }

    @Override
    public PartyView of(Party.Outside party) {
      PhoneNumber number = party.number();
      if (number == null) {
        return new PartyView(Kind.WITHHELD, "", null, "", null, null);
      }
      if (outsiders.size() > MOST_REMEMBERED) {
        outsiders.clear();
      }
      return outsiders.computeIfAbsent(new Numbered(office.region(), number), this::outsider);
    }

    private PartyView outsider(Numbered who) {
      String shown = who.region().show(who.number());
      String place = who.region().place(who.number(), Locale.ENGLISH);
      return new PartyView(Kind.OUTSIDE, shown, shown, place, null, who.number().e164());
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
      PartyView owner = view(party.owner());
      return new PartyView(
          Kind.MAILBOX, owner.name(), owner.number(), "", owner.person(), owner.dial());
    }

    @Override
    public PartyView of(Party.Attendant party) {
      return digits(Kind.ATTENDANT, name(party));
    }

    private PartyView digits(Kind kind, String digits) {
      return new PartyView(kind, digits, digits, "", null, digits);
    }
  }
}
