package oficina.core;

import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import oficina.core.exchange.Exchange;
import oficina.core.exchange.ParkSlot;
import oficina.core.exchange.Settings;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.routing.Office;

/** A small office for the tests of core: six people, one group, two outside lines. */
public final class TestOffice {
  public static final Instant START = Instant.parse("2026-06-15T08:00:00Z");
  public static final PersonId INES = new PersonId(1);
  public static final PersonId ADAEZE = new PersonId(2);
  public static final PersonId BRAM = new PersonId(3);
  public static final PersonId CELIA = new PersonId(4);
  public static final PersonId TOMASZ = new PersonId(5);
  public static final PersonId ZOE = new PersonId(6);
  public static final List<PersonId> EVERYBODY = List.of(INES, ADAEZE, BRAM, CELIA, TOMASZ, ZOE);
  public static final List<String> SLOTS = List.of("61", "62");
  public static final GroupId FRONT_DESK = new GroupId(1);
  public static final PhoneNumber MAIN_NUMBER = new PhoneNumber("+441914980100");
  public static final PhoneNumber DOV = new PhoneNumber("+441514960177");
  public static final PhoneNumber MARISOL = new PhoneNumber("+441134960148");

  /** Everybody is signed in but those in here. */
  public final Set<PersonId> absent = new HashSet<>();

  public final Directory directory =
      new Directory(
          List.of(
              person(INES, "Ines Calloway", "201", "Front desk", true),
              person(ADAEZE, "Adaeze Moor", "212", "Bookings", true),
              person(BRAM, "Bram Oakes", "213", "Bookings", false),
              person(CELIA, "Celia Thorne", "214", "Bookings", true),
              person(TOMASZ, "Tomasz Brill", "221", "Freight", true),
              person(ZOE, "Zoë Calder-Ibsen", "222", "Freight", true)),
          List.of(
              new Group(
                  FRONT_DESK,
                  "Front desk",
                  "200",
                  MAIN_NUMBER,
                  List.of(INES, ADAEZE),
                  Duration.ofSeconds(30))));

  public final Exchange exchange =
      new Exchange(
          new Settings(
              2,
              3,
              Duration.ofSeconds(120),
              Duration.ofMinutes(2),
              FRONT_DESK,
              Duration.ofSeconds(20),
              4,
              List.of(new ParkSlot("61", "Landing"), new ParkSlot("62", "")),
              Duration.ofMinutes(3),
              Duration.ofHours(1)),
          new Office(directory, person -> !absent.contains(person)));

  public final DialPlan plan =
      new DialPlan(
          new Region("GB"),
          "9",
          text -> directory.hasExtension(text) || SLOTS.contains(text),
          directory.longestExtension());

  private static Person person(
      PersonId id, String name, String extension, String team, boolean callWaiting) {
    PhoneNumber direct = new PhoneNumber("+441914980" + extension);
    return new Person(
        id, name, extension, direct, team, "Harbour", Duration.ofSeconds(20), callWaiting);
  }
}
