package oficina.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import oficina.core.TestOffice;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PeopleFinderTest {
  private final PeopleFinder finder = new PeopleFinder(new TestOffice().directory.people());

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          212          | Adaeze Moor
          22           | Tomasz Brill, Zoë Calder-Ibsen, Ines Calloway
          2 2          | Tomasz Brill, Zoë Calder-Ibsen, Ines Calloway
          ine          | Ines Calloway
          INES         | Ines Calloway
          ca           | Ines Calloway, Zoë Calder-Ibsen
          b            | Bram Oakes, Tomasz Brill
          zoe          | Zoë Calder-Ibsen
          zoë          | Zoë Calder-Ibsen
          ibsen        | Zoë Calder-Ibsen
          calder ibs   | Zoë Calder-Ibsen
          moor ada     | Adaeze Moor
          bri tom      | Tomasz Brill
          ic           | Ines Calloway
          i c          | Ines Calloway, Zoë Calder-Ibsen
          T B          | Tomasz Brill, Celia Thorne
          zci          | Zoë Calder-Ibsen
          4637         | Ines Calloway
          963          | Zoë Calder-Ibsen
          aeze         | Adaeze Moor
          freight      | Tomasz Brill, Zoë Calder-Ibsen
          zoe freight  | Zoë Calder-Ibsen
          13           | Bram Oakes
          nobody       | ''
          ' '          | ''
          """)
  void finds_people_as_they_are_typed_best_first(String query, String names) {
    assertThat(finder.find(query, 10).stream().map(Person::name).toList())
        .isEqualTo(names.isEmpty() ? List.of() : List.of(names.split(", ")));
  }

  @ParameterizedTest
  @CsvSource({
    "lukasz ostergard, Łukasz Østergård",
    "Łukasz, Łukasz Østergård",
    "strasse, Ægir Straße",
    "aegir, Ægir Straße",
    "301, ---"
  })
  void finds_letters_that_are_not_on_every_keyboard_and_names_without_any(
      String query, String name) {
    Person model = new TestOffice().directory.people().get(0);
    List<Person> people = new ArrayList<>();
    for (String each : List.of("Łukasz Østergård", "Ægir Straße", "---")) {
      String extension = Integer.toString(303 - people.size());
      people.add(
          new Person(
              new PersonId(people.size() + 1),
              each,
              extension,
              null,
              model.place(),
              model.calls()));
    }
    assertThat(new PeopleFinder(people).find(query, 10))
        .extracting(Person::name)
        .containsExactly(name);
  }

  @Test
  void finds_no_more_than_asked_for() {
    assertThat(finder.find("2", 3)).hasSize(3);
  }
}
