package oficina.core.ledger;

import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.FRONT_DESK;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.TestOffice;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.office.Former;
import oficina.core.office.Office;
import oficina.core.office.ParkSlot;
import oficina.core.office.Settings;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import org.junit.jupiter.api.Test;

/** What is written down of a change, and whether that is still as it was written. */
class LedgerTest {
  private record Account(String signInName, String role) {}

  private final Office office = new TestOffice().office;

  private static Differences.Side side(Office office, String roleOfInes) {
    Map<PersonId, Account> accounts = new HashMap<>();
    office
        .directory()
        .people()
        .forEach(each -> accounts.put(each.id(), new Account("n" + each.id(), "employee")));
    accounts.put(INES, new Account("ines", roleOfInes));
    return new Differences.Side(office, accounts);
  }

  @Test
  void what_is_different_is_told_part_by_part_in_names() {
    List<Person> people = new ArrayList<>(office.directory().people());
    Person ines = people.get(0);
    people.set(
        0,
        new Person(
            INES,
            ines.name(),
            "251",
            ines.directNumber(),
            new Person.Place("Freight", "", "", null),
            ines.calls()));
    people.removeIf(each -> each.id().equals(ZOE));
    Group freight = office.directory().group(FREIGHT).orElseThrow();
    Group smaller =
        new Group(
            FREIGHT,
            freight.name(),
            freight.extension(),
            freight.number(),
            List.of(freight.members().get(0)),
            Duration.ofSeconds(45),
            freight.mailbox());
    Settings was = office.settings();
    Settings is =
        new Settings(
            new Settings.Limits(7, 3, 4),
            was.times(),
            new Settings.Parking(List.of(new ParkSlot("61", "Quay")), was.parking().comeBack()),
            was.voicemail(),
            was.recording(),
            was.keeping(),
            null,
            was.pickUp(),
            Settings.DEFAULT.barring());
    Office after =
        new Office(
            office.identity(),
            new Directory(
                people, List.of(office.directory().group(FRONT_DESK).orElseThrow(), smaller)),
            is,
            Former.NONE,
            office.directions());
    List<Deed> deeds = Differences.between(side(office, "employee"), side(after, "administrator"));
    assertThat(deeds)
        .contains(
            new Deed(Kind.CHANGED, "Ines Calloway", "extension", "201", "251"),
            new Deed(Kind.CHANGED, "Ines Calloway", "place.team", "Front desk", "Freight"),
            new Deed(Kind.CHANGED, "Ines Calloway", "role", "employee", "administrator"),
            new Deed(Kind.CHANGED, "Freight", "ringTime", "PT30S", "PT45S"),
            new Deed(
                Kind.CHANGED,
                "Freight",
                "members",
                "Tomasz Brill, Zoë Calder-Ibsen",
                "Tomasz Brill"),
            new Deed(Kind.CHANGED, "", "limits.outsideLines", "2", "7"),
            new Deed(Kind.CHANGED, "", "frontDesk", "Front desk", ""),
            new Deed(Kind.CHANGED, "Slot 61", "label", "Landing", "Quay"),
            new Deed(Kind.REMOVED, "Slot 62", "", "", ""));
    assertThat(deeds.stream().map(Deed::about)).doesNotContain("Bram Oakes", "Front desk");
    assertThat(Differences.between(side(office, "employee"), side(office, "employee"))).isEmpty();
  }

  private static Entry entry(long number, String after) {
    return new Entry(
        number,
        Instant.parse("2026-12-01T10:00:00Z"),
        INES,
        "ines",
        "127.0.0.1",
        new Deed(Kind.CHANGED, "Freight", "name", "", after));
  }

  @Test
  void whatever_is_changed_or_taken_out_afterwards_shows() {
    String first = Seal.of(Seal.BEGINNING, entry(1, "a"));
    String second = Seal.of(first, entry(2, "b"));
    String third = Seal.of(second, entry(3, "c"));
    assertThat(follow(entry(1, "a"), first, entry(2, "b"), second, entry(3, "c"), third))
        .containsExactly(true, true, true);
    assertThat(follow(entry(1, "a"), first, entry(2, "x"), second, entry(3, "c"), third))
        .containsExactly(true, false, true);
    assertThat(follow(entry(1, "a"), first, entry(3, "c"), third)).containsExactly(true, false);
    assertThat(follow(entry(2, "b"), second, entry(3, "c"), third))
        .as("the first is gone")
        .containsExactly(false, true);
    String forged = Seal.of(first, entry(2, "x"));
    assertThat(follow(entry(1, "a"), first, entry(2, "x"), forged, entry(3, "c"), third))
        .as("sealed anew, but not what follows")
        .containsExactly(true, true, false);
  }

  private static List<Boolean> follow(Object... entriesAndSeals) {
    Seal.Check check = new Seal.Check(0, Seal.BEGINNING);
    List<Boolean> whole = new ArrayList<>();
    for (int i = 0; i < entriesAndSeals.length; i += 2) {
      whole.add(check.follows((Entry) entriesAndSeals[i], (String) entriesAndSeals[i + 1]));
    }
    return whole;
  }
}
