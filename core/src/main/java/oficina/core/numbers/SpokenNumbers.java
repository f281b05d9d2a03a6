package oficina.core.numbers;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Finds telephone numbers in words that were spoken, digit by digit, in English. */
public final class SpokenNumbers {
  private static final int SHORTEST = 6;

  private static final Map<String, String> DIGITS =
      Map.ofEntries(
          Map.entry("zero", "0"),
          Map.entry("oh", "0"),
          Map.entry("nought", "0"),
          Map.entry("one", "1"),
          Map.entry("two", "2"),
          Map.entry("three", "3"),
          Map.entry("four", "4"),
          Map.entry("five", "5"),
          Map.entry("six", "6"),
          Map.entry("seven", "7"),
          Map.entry("eight", "8"),
          Map.entry("nine", "9"));

  /** Words that sound like digits, and are meant as such between digits. */
  private static final Map<String, String> SOUND_ALIKE =
      Map.of("to", "2", "too", "2", "for", "4", "won", "1", "ate", "8", "o", "0");

  private static final Map<String, Integer> TIMES = Map.of("double", 2, "triple", 3, "treble", 3);

  private SpokenNumbers() {}

  /**
   * The digits of each number that was spoken, in order.
   *
   * @param words in lower case, as they were said
   */
  public static List<String> in(List<String> words) {
    List<String> numbers = new ArrayList<>();
    StringBuilder digits = new StringBuilder();
    int times = 1;
    for (int i = 0; i <= words.size(); i++) {
      String word = i < words.size() ? words.get(i) : "";
      Integer multiple = TIMES.get(word);
      String digit = digit(word, digits.length() > 0);
      if (multiple != null) {
        times = multiple;
      } else if (digit != null) {
        digits.append(digit.repeat(times));
        times = 1;
      } else {
        if (digits.length() >= SHORTEST) {
          numbers.add(digits.toString());
        }
        digits.setLength(0);
        times = 1;
      }
    }
    return numbers;
  }

  private static @Nullable String digit(String word, boolean withinNumber) {
    String digit = DIGITS.get(word);
    return digit == null && withinNumber ? SOUND_ALIKE.get(word) : digit;
  }
}
