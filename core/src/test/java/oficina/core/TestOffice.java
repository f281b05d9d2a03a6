package oficina.core;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import oficina.core.exchange.Exchange;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.office.Barring;
import oficina.core.office.Directions;
import oficina.core.office.Former;
import oficina.core.office.Office;
import oficina.core.office.ParkSlot;
import oficina.core.office.Settings;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.RecordingChoice;
import org.jspecify.annotations.Nullable;

/**
 * A small office for the tests of core: six people, two groups, two outside lines. Messages can be
 * left for those of freight. All of Zoë's calls are recorded, none of Celia's.
 */
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
  public static final GroupId FREIGHT = new GroupId(2);
  public static final PhoneNumber MAIN_NUMBER = new PhoneNumber("+441914980100");
  public static final PhoneNumber DOV = new PhoneNumber("+441514960177");
  public static final PhoneNumber MARISOL = new PhoneNumber("+441134960148");

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
                  Duration.ofSeconds(30),
                  false),
              new Group(
                  FREIGHT,
                  "Freight",
                  "220",
                  new PhoneNumber("+441914980220"),
                  List.of(TOMASZ, ZOE),
                  Duration.ofSeconds(30),
                  true)));

  public final Office office =
      new Office(
          new Office.Identity(
              "Test office", MAIN_NUMBER, ZoneId.of("Europe/London"), new Region("GB"), "9"),
          directory,
          new Settings(
              new Settings.Limits(2, 3, 4),
              Settings.DEFAULT.times(),
              new Settings.Parking(
                  List.of(new ParkSlot("61", "Landing"), new ParkSlot("62", "")),
                  Duration.ofMinutes(3)),
              new Settings.Voicemail(
                  Duration.ofMinutes(3),
                  Settings.Unanswered.BACK,
                  "290",
                  new PhoneNumber("+441914980290")),
              Settings.DEFAULT.recording(),
              Settings.DEFAULT.keeping(),
              FRONT_DESK,
              Settings.PickUp.ANYBODY,
              Settings.DEFAULT.barring()),
          Former.NONE,
          Directions.none(ZoneId.of("Europe/London")));

  /** The usual settings of an office but for these. */
  public static Settings settings(
      Settings usual,
      Settings.Recording recording,
      @Nullable GroupId frontDesk,
      Settings.PickUp pickUp,
      Barring barring) {
    return new Settings(
        usual.limits(),
        usual.times(),
        usual.parking(),
        usual.voicemail(),
        recording,
        usual.keeping(),
        frontDesk,
        pickUp,
        barring);
  }

  public final Exchange exchange = new Exchange(office);
  public final DialPlan plan = office.plan();

  private static RecordingChoice recording(PersonId id) {
    if (id.equals(CELIA)) {
      return RecordingChoice.NEVER;
    }
    return id.equals(ZOE) ? RecordingChoice.EVERY_CALL : RecordingChoice.ON_DEMAND;
  }

  private static Person person(
      PersonId id, String name, String extension, String team, boolean callWaiting) {
    PhoneNumber direct = new PhoneNumber("+441914980" + extension);
    return new Person(
        id,
        name,
        extension,
        direct,
        new Person.Place(team, "Harbour", "", null),
        new Person.Calls(
            Duration.ofSeconds(20),
            callWaiting,
            CallerIdChoice.OFFICE,
            team.equals("Freight"),
            recording(id),
            id.equals(CELIA) ? null : new PhoneNumber("+447700900" + extension)));
  }
}
