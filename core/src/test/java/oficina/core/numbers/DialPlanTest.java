package oficina.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import oficina.core.TestOffice;
import oficina.core.numbers.Dialled.Why;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DialPlanTest {
  private final DialPlan plan = new TestOffice().plan;

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          212                                     | 212
          ' 212 '                                 | 212
          2 1 2                                   | 212
          (212)                                   | 212
          200                                     | 200
          ext 212                                 | 212
          Ext. 212                                | 212
          Adaeze Moor, extension 212              | 212
          x212                                    | 212
          extn 212                                | 212
          0191 498 0212                           | 212
          +44 191 498 0212                        | 212
          Adaeze Moor 0191 498 0212               | 212
          0191 498 0100                           | 200
          """)
  void reads_extensions(String typed, String extension) {
    assertThat(plan.interpret(typed)).isEqualTo(new Dialled.Internal(extension));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          0151 496 0177                           | +441514960177 |         | false
          01514960177                             | +441514960177 |         | false
          (0151) 496 0177                         | +441514960177 |         | false
          0151-496-0177                           | +441514960177 |         | false
          0151.496.0177                           | +441514960177 |         | false
          0151/4960177                            | +441514960177 |         | false
          0151 – 496 – 0177                       | +441514960177 |         | false
          '0151\u00a0496\u00a00177'               | +441514960177 |         | false
          +44 151 496 0177                        | +441514960177 |         | false
          +44 (0)151 496 0177                     | +441514960177 |         | false
          +44(0) 151 4960177                      | +441514960177 |         | false
          0044 151 496 0177                       | +441514960177 |         | false
          00 44 (0) 151 496 0177                  | +441514960177 |         | false
          +441514960177                           | +441514960177 |         | false
          [0151] 496 0177                         | +441514960177 |         | false
          tel:+44-151-496-0177                    | +441514960177 |         | false
          tel:+44-151-496-0177;ext=12             | +441514960177 | p12     | false
          tel:+441514960177;postd=pp22            | +441514960177 | pp22    | false
          TEL:+441514960177                       | +441514960177 |         | false
          9 0151 496 0177                         | +441514960177 |         | true
          901514960177                            | +441514960177 |         | true
          9,0151 496 0177                         | +441514960177 |         | true
          9 00 44 151 496 0177                    | +441514960177 |         | true
          9 +44 151 496 0177                      | +441514960177 |         | true
          0151 496 0177 ext 12                    | +441514960177 | p12     | false
          0151 496 0177 x12                       | +441514960177 | p12     | false
          0151 496 0177,,12#                      | +441514960177 | pp12#   | false
          0151 496 0177;3                         | +441514960177 | p3      | false
          0151 496 0177 p 1 p 2                   | +441514960177 | p1p2    | false
          07700 900123                            | +447700900123 |         | false
          +44 7700 900 123                        | +447700900123 |         | false
          08081 570 123                           | +448081570123 |         | false
          0808 157 SAIL                           | +448081577245 |         | false
          020 7946 0018                           | +442079460018 |         | false
          +1 212 555 0142                         | +12125550142  |         | false
          00 1 (212) 555-0142                     | +12125550142  |         | false
          +351 21 000 1234                        | +351210001234 |         | false
          Call Dov on 0151 496 0177 please        | +441514960177 |         | false
          Dov Hartigan (0151 496 0177)            | +441514960177 |         | false
          'mob: 07700 900123 / same +447700900123'| +447700900123 |         | false
          'Hartigan Haulage\n0151 496 0177\nLiverpool' | +441514960177 |   | false
          116 123                                 | 116123        |         | false
          101                                     | 101           |         | false
          111                                     | 111           |         | false
          118 118                                 | 118118        |         | false
          9 101                                   | 101           |         | true
          0800 1111                               | +448001111    |         | false
          """)
  void reads_outside_numbers(String typed, String e164, String after, boolean dropped) {
    String text = typed.replace("\\n", "\n").replace("\\u00a0", "\u00a0");
    assertThat(plan.interpret(text))
        .isEqualTo(new Dialled.Outside(new PhoneNumber(e164), after == null ? "" : after, dropped));
  }

  @ParameterizedTest
  @ValueSource(strings = {"999", "112", " 9 9 9 ", "9-999", "9 112", "9112"})
  void always_knows_an_emergency(String typed) {
    assertThat(plan.interpret(typed)).isInstanceOf(Dialled.Emergency.class);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          ''                                      | EMPTY
          '   '                                   | EMPTY
          299                                     | UNKNOWN_EXTENSION
          7                                       | UNKNOWN_EXTENSION
          Adaeze                                  | NOT_A_NUMBER
          ++--                                    | NOT_A_NUMBER
          ext 299                                 | NOT_A_NUMBER
          room 4 or 5                             | NOT_A_NUMBER
          0151                                    | TOO_SHORT
          4960177                                 | AREA_CODE_MISSING
          0151 496 0177 0000 00000                | TOO_LONG
          123456789012345678901234567890          | TOO_LONG
          +49 999999999999999                     | TOO_LONG
          +999 123 4567                           | UNKNOWN_COUNTRY
          Dov 0151 496 0177 or Gus 0131 496 0162  | SEVERAL_NUMBERS
          """)
  void says_why_something_cannot_be_called(String typed, Why why) {
    assertThat(plan.interpret(typed))
        .isInstanceOfSatisfying(
            Dialled.NotCallable.class, no -> assertThat(no.why()).isEqualTo(why));
  }

  @Test
  void a_text_with_several_numbers_names_each() {
    Dialled.NotCallable several =
        plan.interpret("Dov 0151 496 0177 or Gus +44 131 496 0162").refused();
    assertThat(several.numbers())
        .extracting(PhoneNumber::e164)
        .containsExactly("+441514960177", "+441314960162");
    assertThat(several.text()).isEqualTo("0151 496 0177, 0131 496 0162");
  }

  @ParameterizedTest
  @CsvSource({
    "PT, 912 345 678, +351912345678, false",
    "PT, 9 912345678, +351912345678, true",
    "SI, 14712345, +38614712345, false",
    "DE, +49 30 123456, +4930123456, false"
  })
  void reads_numbers_of_other_countries(
      String region, String typed, String e164, boolean accessCodeDropped) {
    assertThat(new DialPlan(new Region(region), "9", plan.own()).interpret(typed))
        .isEqualTo(new Dialled.Outside(new PhoneNumber(e164), "", accessCodeDropped));
  }

  @Test
  void does_not_search_texts_without_end() {
    assertThat(plan.interpret("0151 496 0177 ".repeat(500)))
        .isInstanceOfSatisfying(
            Dialled.NotCallable.class,
            no -> {
              assertThat(no.why()).isEqualTo(Why.TOO_LONG);
              assertThat(no.text()).hasSizeLessThan(30);
            });
  }

  @Test
  void shows_numbers_as_people_here_write_them_and_says_where_they_belong() {
    Region region = new Region("GB");
    assertThat(region.show(TestOffice.DOV)).isEqualTo("0151 496 0177");
    assertThat(region.show(new PhoneNumber("+12125550142"))).isEqualTo("+1 212-555-0142");
    assertThat(region.place(TestOffice.DOV, Locale.ENGLISH)).isEqualTo("Liverpool");
  }
}
