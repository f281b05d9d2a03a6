package oficina.core.notes;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NoteTextTest {

  @ParameterizedTest(name = "{0}, meanwhile {1}, mine {2}")
  @CsvSource(
      nullValues = "-",
      delimiter = '|',
      textBlock =
          """
          ''    | ''        | two        | two
          one   | one       | one two    | one two
          one   | one       | ''         | ''
          one   | one three | one        | one three
          one   | ''        | one        | ''
          one   | one three | one two    | one three~two
          ''    | three     | two        | three~two
          one   | one two   | one two    | one two
          one   | two one   | three one  | two one~three one
          one   | one       | one two~4  | one two~4
          one   | one 3     | ONE        | one 3~ONE
          one   | ''        | one two    | one two
          """)
  void nothing_that_was_added_in_either_window_is_lost(
      String from, String kept, String mine, String expected) {
    NoteText written = new NoteText("", lines(mine));
    assertThat(written.onto(new NoteText("", lines(kept)), new NoteText("", lines(from))).text())
        .isEqualTo(lines(expected));
  }

  private static String lines(String text) {
    return text.replace('~', '\n');
  }

  @ParameterizedTest
  @CsvSource({"'', Boat, Boat", "Ferry, Boat, Ferry / Boat", "Boat, Boat times, Boat times"})
  void titles_stand_beside_each_other(String kept, String mine, String expected) {
    NoteText written = new NoteText(mine, "");
    assertThat(written.onto(new NoteText(kept, ""), NoteText.BLANK).title()).isEqualTo(expected);
  }
}
