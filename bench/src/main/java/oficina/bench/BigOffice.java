package oficina.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.exchange.Exchange;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.office.Directions;
import oficina.core.office.Former;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.Directory;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.RecordingChoice;
import org.jspecify.annotations.Nullable;

/** An office of many people, each with a device, for measuring the exchange alone. */
final class BigOffice {
  private BigOffice() {}

  /**
   * @param number public number of the n-th, or null
   */
  static Exchange exchange(
      int size,
      int firstExtension,
      Duration ringTime,
      Settings settings,
      IntFunction<@Nullable PhoneNumber> number,
      DeviceId device,
      Instant opens) {
    List<Person> people = new ArrayList<>();
    for (int i = 0; i < size; i++) {
      String extension = Integer.toString(firstExtension + i);
      people.add(person(new PersonId(i), extension, ringTime, number.apply(i)));
    }
    Exchange exchange =
        new Exchange(
            office(new Directory(people, List.of()), settings, Directions.none(ZoneOffset.UTC)));
    for (Person person : people) {
      Command comes =
          new OfficeCommand.DeviceComes(
              person.id(), device, DeviceKind.WINDOW, /* attended= */ true);
      ((Decision.Accepted) exchange.decide(comes, opens)).events().forEach(exchange::apply);
    }
    return exchange;
  }

  static Office office(Directory directory, Settings settings, Directions directions) {
    return new Office(
        new Office.Identity("Bench", null, ZoneOffset.UTC, new Region("GB"), ""),
        directory,
        settings,
        Former.NONE,
        directions);
  }

  /** Somebody in a team of ten. */
  static Person person(
      PersonId id, String extension, Duration ringTime, @Nullable PhoneNumber number) {
    return new Person(
        id,
        "P" + id,
        extension,
        number,
        new Person.Place("T" + id.value() / 10, "S", "", null),
        new Person.Calls(
            ringTime, true, CallerIdChoice.WITHHELD, false, RecordingChoice.ON_DEMAND, null));
  }
}
