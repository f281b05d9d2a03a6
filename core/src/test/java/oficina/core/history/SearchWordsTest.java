package oficina.core.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.SortedSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What finds an entry and what does not. */
class SearchWordsTest {
  private static final SortedSet<String> ENTRY =
      SearchWords.of(
          Arrays.asList("Łukasz Østergård", null, "0151 496 0177", "+441514960177", "Liverpool"));

  @ParameterizedTest
  @CsvSource({
    "lukasz, true",
    "oster luk, true",
    "Østergård, true",
    "ukasz, false",
    "0151 496 0177, true",
    "01514960177, true",
    "+44 151, true",
    "4960177, true",
    "60177, true",
    "77, false",
    "liverp 177, true",
    "leeds, false"
  })
  void every_word_wanted_begins_one_of_it(String typed, boolean found) {
    assertThat(SearchWords.finds(SearchWords.wanted(typed), ENTRY)).isEqualTo(found);
  }
}
