package oficina.core.office;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.numbers.NumberRange;
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

  /** Whether this one has this public number now. */
  public boolean has(Party self, PhoneNumber number) {
    return number(number, null).isPresent() && number(number, self).isEmpty();
  }

  /** Public numbers the office has been given that are nobody's yet, the lowest first. */
  public Stream<PhoneNumber> free() {
    return office.identity().ranges().stream()
        .flatMap(NumberRange::numbers)
        .filter(number -> !number.equals(office.identity().mainNumber()))
        .filter(number -> number(number, null).isEmpty())
        .distinct();
  }

  /** How many of these there are; where ranges overlap, each counts by itself. */
  public long freeCount() {
    List<NumberRange> ranges = office.identity().ranges();
    long taken =
        Stream.concat(
                office.ownNumbers().stream(),
                Stream.ofNullable(office.settings().voicemail().number()))
            .distinct()
            .flatMap(number -> ranges.stream().filter(range -> range.contains(number)))
            .count();
    return ranges.stream().mapToLong(NumberRange::size).sum() - taken;
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
