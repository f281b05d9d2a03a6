package oficina.core.passwords;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import oficina.core.passwords.PasswordRules.Weakness;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PasswordRulesTest {
  private static final List<String> NAMES = List.of("Łucja Ó Brien-Vale", "lucja", "231");

  private static @Nullable Weakness weakness(
      String password, @Nullable String present, List<String> names) {
    return PasswordRules.weakness(password, present, names, PasswordRules.SHORTEST);
  }

  @Test
  void an_office_may_ask_for_longer_ones() {
    String password = "slack-water-9";
    assertThat(PasswordRules.weakness(password, null, NAMES, 13)).isNull();
    assertThat(PasswordRules.weakness(password, null, NAMES, 14)).isEqualTo(Weakness.TOO_SHORT);
  }

  @ParameterizedTest
  @CsvSource({
    "slackwatr, TOO_SHORT",
    "🐟🐟🐟🐟🐟🐟🐟🐟🐟, TOO_SHORT",
    "present one here, THE_PRESENT_ONE",
    "my-BRÍEN-harbour, HAS_NAME",
    "lucja-lucja-lucja, HAS_NAME",
    "calls 231 all day, HAS_NAME",
    "password123, COMMON",
    "P4ssw0rd1234, COMMON",
    "1234567890, COMMON",
    "qwertyuiop, COMMON",
    "aaaaaaaaaaaaaaaa, COMMON",
  })
  void what_is_guessed_soon_is_refused(String password, Weakness expected) {
    assertThat(weakness(password, "present one here", NAMES)).isEqualTo(expected);
  }

  @Test
  void a_sentence_or_anything_unusual_will_do() {
    for (String good :
        List.of("slack-water-9", "the tide waits", "кошка спит днём", "xV7#kkq2Lm")) {
      assertThat(weakness(good, "present one here", NAMES)).as(good).isNull();
    }
  }

  @Test
  void nothing_is_cut_without_saying_so() {
    String sentence =
        "many tides have come and gone since the harbour wall was built of stone".concat("!");
    assertThat(weakness(sentence, null, NAMES)).as("72 bytes").isNull();
    assertThat(weakness(sentence + "?", null, NAMES)).isEqualTo(Weakness.TOO_LONG);
    assertThat(weakness("ю".repeat(10) + "кошка спит днём, а ночью ловит мышей", null, NAMES))
        .as("in bytes, not in letters")
        .isEqualTo(Weakness.TOO_LONG);
  }
}
