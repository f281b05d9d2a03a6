package oficina.server.people;

import oficina.core.call.Party;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import org.springframework.stereotype.Component;

/** Names and numbers of parties as people read them. */
@Component
public class Parties {
  private final OfficeData office;

  Parties(OfficeData office) {
    this.office = office;
  }

  public PartyView view(Party party) {
    PersonId person = party.employee();
    return new PartyView(
        kind(party),
        name(party),
        number(party),
        place(party),
        person == null ? null : person.value(),
        party instanceof Party.Outside outside && outside.number() != null
            ? outside.number().e164()
            : number(party));
  }

  private static PartyView.Kind kind(Party party) {
    if (party instanceof Party.Employee) {
      return PartyView.Kind.PERSON;
    }
    if (party instanceof Party.Members) {
      return PartyView.Kind.GROUP;
    }
    if (party instanceof Party.Outside outside) {
      return outside.number() == null ? PartyView.Kind.WITHHELD : PartyView.Kind.OUTSIDE;
    }
    if (party instanceof Party.Slot) {
      return PartyView.Kind.SLOT;
    }
    return party instanceof Party.Emergency ? PartyView.Kind.EMERGENCY : PartyView.Kind.NOBODY;
  }

  /**
   * What identifies them when one looks for calls with the same: an E.164 number, or {@code p} and
   * a person's identity; null when there is no telling.
   */
  public static String key(Party party) {
    if (party instanceof Party.Outside outside) {
      return outside.number() == null ? null : outside.number().e164();
    }
    return party.employee() == null ? null : "p" + party.employee().value();
  }

  /** The name, or the number when there is no name, or nothing when there is neither. */
  public String name(Party party) {
    if (party instanceof Party.Employee employee) {
      return office.directory().person(employee.id()).map(Person::name).orElse("");
    }
    if (party instanceof Party.Members members) {
      return office.directory().group(members.id()).map(Group::name).orElse("");
    }
    String number = number(party);
    return number == null ? "" : number;
  }

  /** The number as people here write it; null when it is withheld. */
  public String number(Party party) {
    if (party instanceof Party.Employee employee) {
      return office.directory().person(employee.id()).map(Person::extension).orElse("");
    }
    if (party instanceof Party.Members members) {
      return office.directory().group(members.id()).map(Group::extension).orElse("");
    }
    if (party instanceof Party.Outside outside) {
      return outside.number() == null ? null : office.region().show(outside.number());
    }
    if (party instanceof Party.Slot slot) {
      return slot.number();
    }
    return party instanceof Party.Emergency emergency
        ? emergency.digits()
        : ((Party.Nobody) party).dialled();
  }

  /** Where they are: a team, a town; empty when unknown. */
  public String place(Party party) {
    if (party instanceof Party.Employee employee) {
      return office.directory().person(employee.id()).map(Person::team).orElse("");
    }
    if (party instanceof Party.Outside outside && outside.number() != null) {
      return office.region().place(outside.number());
    }
    return "";
  }
}
