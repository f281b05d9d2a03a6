package oficina.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NumberRangeTest {
  private static final Region HERE = new Region("GB");

  @ParameterizedTest
  @CsvSource({
    "0191 498 0100 - 0191 498 0199, +441914980100-+441914980199, 100",
    "0191 498 0100–199, +441914980100-+441914980199, 100",
    "0191-498-0100 – 9, +441914980100-+441914980109, 10",
    "+44 191 498 0100 — +44 191 498 0100, +441914980100-+441914980100, 1",
    "0191 498 0107, +441914980107-+441914980107, 1",
    "0191 498 0000 - 9999, +441914980000-+441914989999, 10000",
  })
  void as_people_write_them(String typed, String expected, int size) {
    NumberRange range = NumberRange.of(HERE, typed);
    assertThat(range).hasToString(expected);
    assertThat(range.size()).isEqualTo(size);
    assertThat(range.numbers()).hasSize(size).allMatch(range::contains).doesNotHaveDuplicates();
    assertThat(NumberRange.parse(range.toString())).isEqualTo(range);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "all of them",
        "0191 498 0199 - 0191 498 0100",
        "0191 498 0100 - rest",
        "0191 498 0100 - 4419149801990",
        "999"
      })
  void what_is_none(String typed) {
    assertThat(NumberRange.of(HERE, typed)).isNull();
  }

  @Test
  void only_what_lies_between_belongs_to_it() {
    NumberRange range = NumberRange.of(HERE, "0191 498 0100 - 199");
    for (String inside : new String[] {"+441914980100", "+441914980150", "+441914980199"}) {
      assertThat(range.contains(new PhoneNumber(inside))).as(inside).isTrue();
    }
    for (String outside :
        new String[] {"+441914980099", "+441914980200", "+4419149801", "+44191498015", "150"}) {
      assertThat(range.contains(new PhoneNumber(outside))).as(outside).isFalse();
    }
  }

  @ParameterizedTest(name = "{0} to {1}")
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          +441214960100 | +441214960199 | +4412149601
          +441214960100 | +441214960100 | +441214960100
          +441214960198 | +441214960201 | +441214960198, +441214960199, +441214960200, +441214960201
          +441214960190 | +441214960219 | +44121496019, +44121496020, +44121496021
          +441214960100 | +441214961099 | +4412149601, +4412149602, +4412149603, +4412149604, \
          +4412149605, +4412149606, +4412149607, +4412149608, +4412149609, +4412149610
          +441214960199 | +441214960100 | ''
          +44121496019  | +441214960199 | ''
          116120        | 116125        | ''
          """)
  void the_fewest_beginnings_that_have_all_of_them(String first, String last, String expected) {
    assertThat(String.join(", ", beginnings(first, last))).isEqualTo(expected);
  }

  @Test
  void every_number_of_a_range_and_no_other_begins_so() {
    Random random = new Random(7);
    for (int i = 0; i < 200; i++) {
      int first = random.nextInt(9_000);
      int last = first + random.nextInt(10_000 - first);
      List<String> beginnings = beginnings(number(first), number(last));
      for (int n = 0; n < 10_000; n++) {
        boolean within = beginnings.stream().anyMatch(number(n)::startsWith);
        assertThat(within).as("%d in %d to %d", n, first, last).isEqualTo(first <= n && n <= last);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "0199, +441214960199",
    "9, +441214960109",
    "496 0250, +441214960250",
    "000000000000, ",
    "441214960199, ",
    "no digits, "
  })
  void of_the_last_number_its_last_digits_are_enough(String typed, String expected) {
    PhoneNumber last = NumberRange.lastOf(new PhoneNumber("+441214960100"), typed);
    assertThat(last == null ? null : last.e164()).isEqualTo(expected);
  }

  @Test
  void a_line_of_a_file_that_is_very_long_is_no_range() {
    assertThat(NumberRange.ends("1 ".repeat(50_000) + "- 2")).isNull();
  }

  private static List<String> beginnings(String first, String last) {
    NumberRange range = NumberRange.between(new PhoneNumber(first), new PhoneNumber(last));
    return range == null ? List.of() : range.beginnings();
  }

  private static String number(int last) {
    return "+44121496" + String.format("%04d", last);
  }

  @ParameterizedTest
  @CsvSource({
    "0121 496 0100 - 0121 496 0199, 0121 496 0100, 0121 496 0199",
    "0121 496 0100 – 99, 0121 496 0100, 99",
    "01214960100..01214960199, 01214960100, 01214960199",
    "0121-496-0100 to 0199, 0121-496-0100, 0199",
    "0121-496-0100, , ",
    "Smith - Jones, , "
  })
  void a_range_is_told_from_a_number_with_lines_in_it(String text, String first, String last) {
    NumberRange.Ends ends = NumberRange.ends(text);
    assertThat(ends).isEqualTo(first == null ? null : new NumberRange.Ends(first, last));
  }
}
