package oficina.core.numbers;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpokenNumbersTest {
  @ParameterizedTest
  @CsvSource({
    "please ring zero one two one four nine six zero one zero two thank you, 01214960102",
    "it is oh one five one four nine six oh one double seven, 01514960177",
    "zero one two one four nine six zero one zero to please, 01214960102",
    "for two sheep and three lorries at four, ",
    "triple nine, ",
    "one two three four five six and then seven eight nine zero one two, 123456 789012",
  })
  void numbers_are_found_among_the_words(String said, String numbers) {
    List<String> expected = numbers == null ? List.of() : List.of(numbers.split(" "));
    assertThat(SpokenNumbers.in(List.of(said.split(" ")))).isEqualTo(expected);
  }
}
