package oficina.core.people;

import static org.assertj.core.api.Assertions.assertThat;

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

  @Test
  void finds_no_more_than_asked_for() {
    assertThat(finder.find("2", 3)).hasSize(3);
  }
}
