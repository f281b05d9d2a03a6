package oficina.core.office;

import java.util.Optional;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.Person;
import org.jspecify.annotations.Nullable;

/** What extensions and public numbers of an office have been given to; each is given once. */
public record Claims(Office office) {

  /**
   * To what something has been given.
   *
   * @param name of the person or line; empty for anything else
   */
  public record Holder(Kind kind, String name) {}

  /** What can have an extension or a number. */
  public enum Kind {
    PERSON,
    LINE,
    SLOT,
    /** Where messages are read out. */
    VOICEMAIL,
    /** The emergency services of the country: no extension may keep anybody from them. */
    EMERGENCY
  }

  /**
   * What has this extension already.
   *
   * @param self whose extension it is to be, who may have it already; null for nobody's yet
   * @return empty when it is free
   */
  public Optional<Holder> extension(String digits, @Nullable Party self) {
    if (office.identity().region().isEmergency(digits)) {
      return Optional.of(new Holder(Kind.EMERGENCY, ""));
    }
    if (office.settings().isSlot(digits)) {
      return Optional.of(new Holder(Kind.SLOT, ""));
    }
    if (digits.equals(office.settings().voicemail().extension())) {
      return Optional.of(new Holder(Kind.VOICEMAIL, ""));
    }
    Directory directory = office.directory();
    return person(directory.personAt(digits), self).or(() -> line(directory.groupAt(digits), self));
  }

  /** What has this public number already; the main number of the office may be one of a line. */
  public Optional<Holder> number(PhoneNumber number, @Nullable Party self) {
    if (number.equals(office.settings().voicemail().number())) {
      return Optional.of(new Holder(Kind.VOICEMAIL, ""));
    }
    Directory directory = office.directory();
    return person(directory.personAt(number), self).or(() -> line(directory.groupAt(number), self));
  }

  private static Optional<Holder> person(Optional<Person> found, @Nullable Party self) {
    return found
        .filter(person -> !new Party.Employee(person.id()).equals(self))
        .map(person -> new Holder(Kind.PERSON, person.name()));
  }

  private static Optional<Holder> line(Optional<Group> found, @Nullable Party self) {
    return found
        .filter(group -> !new Party.Members(group.id()).equals(self))
        .map(group -> new Holder(Kind.LINE, group.name()));
  }
}
