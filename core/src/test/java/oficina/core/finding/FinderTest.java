package oficina.core.finding;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.contacts.Contact;
import oficina.core.contacts.ContactBook;
import oficina.core.contacts.ContactId;
import oficina.core.contacts.ContactNumber;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.PeopleFinder;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.RecordingChoice;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/** Ines looks for somebody. Colleagues, contacts and whom she speaks with are in files beside. */
class FinderTest {
  private static final Instant NOW = Instant.parse("2026-06-01T09:00:00Z");
  private static final PersonId INES = new PersonId(201);
  private static final int SHOWN = 6;

  private final Map<String, Party> parties = new HashMap<>();
  private final List<Person> people = new ArrayList<>();
  private final ContactBook contacts = new ContactBook(new Region("GB"));
  private final Familiarity familiar = new Familiarity(NOW);

  FinderTest() {
    rows("colleagues").forEach(row -> people.add(person(row[0], row[1], row[2], row[3])));
    people.forEach(person -> parties.put(person.name(), new Party.Employee(person.id())));
    rows("contacts").forEach(row -> contacts.put(contact(row[0], row[1], row[2].split(" "))));
    rows("spoken")
        .forEach(
            row ->
                Arrays.stream(row[1].split(" "))
                    .map(days -> NOW.minus(Duration.ofDays(Long.parseLong(days))))
                    .forEach(when -> familiar.spoke(parties.get(row[0]), when)));
  }

  private static Stream<String[]> rows(String file) {
    try {
      return Files.readAllLines(Path.of("src/test/resources/finding", file + ".csv")).stream()
          .map(line -> line.split("\\|"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Person person(String extension, String name, String team, String site) {
    return new Person(
        new PersonId(Long.parseLong(extension)),
        name,
        extension,
        null,
        new Person.Place(team, site, "", null),
        new Person.Calls(
            Duration.ofSeconds(20),
            true,
            CallerIdChoice.OFFICE,
            true,
            RecordingChoice.NEVER,
            null));
  }

  private Contact contact(String name, String company, String... numbers) {
    List<ContactNumber> typed =
        Arrays.stream(numbers)
            .map(each -> new ContactNumber(ContactNumber.Type.WORK, new PhoneNumber(each), ""))
            .toList();
    parties.put(name, new Party.Outside(typed.get(0).number()));
    Contact.Card card =
        new Contact.Card(name, company, typed, List.of(), List.of(), List.of(), "", "");
    return new Contact(new ContactId(parties.size()), null, name, card, false);
  }

  private List<String> find(String typed, Familiarity with) {
    return new Finder(new PeopleFinder(people), contacts)
        .find(typed, INES, with, SHOWN).stream().map(FinderTest::nameOf).toList();
  }

  private static String nameOf(Match match) {
    return match.person() == null ? match.contact().card().title() : match.person().name();
  }

  @ParameterizedTest(name = "{0} finds {1}")
  @CsvFileSource(resources = "/finding/queries.csv", delimiter = '|')
  void first_comes(String typed, String expected) {
    List<String> found = find(typed, familiar);
    assertThat(found.isEmpty() ? null : found.get(0))
        .as(String.join(", ", found))
        .isEqualTo(expected);
  }

  @Test
  void colleagues_then_whom_one_speaks_with_most_then_the_rest_by_name() {
    assertThat(find("bri", familiar))
        .containsExactly(
            "Tomasz Brill",
            "Brice Toller",
            "Brian Ness",
            "Bridget Hollis",
            "Brigid Kell",
            "Brinley Foss");
    assertThat(find("bri", new Familiarity(NOW)))
        .containsExactly(
            "Tomasz Brill",
            "Brian Ness",
            "Brice Toller",
            "Bridget Hollis",
            "Brigid Kell",
            "Brinley Foss");
  }

  @Test
  void the_latest_conversations_count_most() {
    Familiarity with = new Familiarity(NOW);
    for (int day = 60; day < 64; day++) {
      with.spoke(parties.get("Ada Smith"), NOW.minus(Duration.ofDays(day)));
    }
    with.spoke(parties.get("Carl Smithy"), NOW.minus(Duration.ofDays(2)));
    with.spoke(parties.get("Ben Smithers"), NOW.minus(Duration.ofDays(30)));
    assertThat(find("smith", with)).startsWith("Carl Smithy", "Ben Smithers", "Ada Smith");
  }

  @Test
  void of_several_numbers_the_one_that_is_typed_comes_first_then_the_one_one_speaks_over() {
    String office = "+441514960177";
    String mobile = "+447700900786";
    assertThat(numbersOf("dov")).startsWith(office);
    assertThat(numbersOf("7700 900786")).startsWith(mobile);
    for (int i = 0; i < 4; i++) {
      familiar.spoke(new Party.Outside(new PhoneNumber(mobile)), NOW);
    }
    assertThat(numbersOf("dov")).startsWith(mobile);
    assertThat(numbersOf("0151 496 0177")).startsWith(office);
  }

  private List<String> numbersOf(String typed) {
    return new Finder(new PeopleFinder(people), contacts)
        .find(typed, INES, familiar, 1).get(0).numbers().stream()
            .map(each -> each.number().e164())
            .toList();
  }

  @Test
  void nobody_finds_what_is_another_s_own_however_much_they_speak_with_that_number() {
    Contact own = contact("Quiet Matter", "Notary", "+441134960299");
    contacts.put(new Contact(own.id(), new PersonId(202), "own", own.card(), false));
    familiar.spoke(parties.get("Quiet Matter"), NOW);
    assertThat(find("quiet", familiar)).isEmpty();
    assertThat(find("0113 496 0299", familiar)).isEmpty();
  }
}
