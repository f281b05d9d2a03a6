package oficina.server.speech;

import java.time.Duration;
import java.util.regex.Pattern;

/**
 * How long a text is when it is spoken, before anybody has spoken it: a figure is a word, a sign
 * may be two, and what has no vowel is spelled.
 */
final class SpokenLength {
  /** Longer ones are not spoken: a caller has hung up by then. */
  static final Duration LONGEST = Duration.ofSeconds(75);

  private static final Pattern BETWEEN_WORDS = Pattern.compile("[^\\p{L}\\p{M}]+");
  private static final Pattern VOWEL =
      Pattern.compile("[aeiouy]", Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
  private static final String SILENT = ".,;:!?'\"()-";

  private static final int LETTER_MS = 65;
  private static final int SPELLED_MS = 350;
  private static final int FIGURE_OR_SIGN_MS = 450;

  private SpokenLength() {}

  static Duration of(String text) {
    long millis = 0;
    for (String word : BETWEEN_WORDS.split(text)) {
      millis += (long) word.length() * (VOWEL.matcher(word).find() ? LETTER_MS : SPELLED_MS);
    }
    millis +=
        FIGURE_OR_SIGN_MS
            * text.chars()
                .filter(c -> !Character.isLetter(c) && !Character.isWhitespace(c))
                .filter(c -> SILENT.indexOf(c) < 0)
                .count();
    return Duration.ofMillis(millis);
  }
}
