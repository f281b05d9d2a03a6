package oficina.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;

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
        "0191 498 0100 - 0191 599 0199",
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
}
