package oficina.core.passwords;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Which passwords may be chosen, after NIST SP 800-63B, 3.1.1.2: long enough, not among the
 * commonest, nothing that says whose it is. The commonest, and what is guessed soon after them, are
 * found by zxcvbn, whose lists come with it.
 */
public final class PasswordRules {
  /** The fewest characters where the office has said nothing. */
  public static final int SHORTEST = 10;

  /** Nobody may ask for fewer (NIST SP 800-63B, 3.1.1.2). */
  public static final int FEWEST = 8;

  /** The most bytes in UTF-8: bcrypt takes no more, and nothing is cut without saying so. */
  public static final int LONGEST_BYTES = 72;

  /** Parts of names shorter than this are found in too many words. */
  private static final int SHORTEST_NAME = 3;

  /** On zxcvbn's scale of 0 to 4: what is guessed with fewer than a million tries. */
  private static final int GUESSED_SOON = 2;

  private static final Zxcvbn GUESSES = new Zxcvbn();

  private PasswordRules() {}

  /** Why a password may not be chosen. */
  public enum Weakness {
    TOO_SHORT,
    TOO_LONG,
    HAS_NAME,
    THE_PRESENT_ONE,
    COMMON
  }

  /**
   * What is wrong with a password.
   *
   * @param present the password it replaces; null when there is none
   * @param names what the person is called, by themselves and in the office
   * @param shortest characters that it has at least
   * @return the first reason against it; null when it may be chosen
   */
  public static @Nullable Weakness weakness(
      String password, @Nullable String present, Collection<String> names, int shortest) {
    if (password.codePointCount(0, password.length()) < shortest) {
      return Weakness.TOO_SHORT;
    }
    if (!fits(password)) {
      return Weakness.TOO_LONG;
    }
    if (password.equals(present)) {
      return Weakness.THE_PRESENT_ONE;
    }
    List<String> words = names.stream().flatMap(PasswordRules::words).toList();
    String folded = fold(password);
    if (words.stream().anyMatch(folded::contains)) {
      return Weakness.HAS_NAME;
    }
    return GUESSES.measure(password, words).getScore() < GUESSED_SOON ? Weakness.COMMON : null;
  }

  /** Whether a password is taken whole. */
  public static boolean fits(String password) {
    return password.getBytes(StandardCharsets.UTF_8).length <= LONGEST_BYTES;
  }

  private static Stream<String> words(String name) {
    return Stream.of(fold(name).split("[^\\p{L}\\p{N}]+"))
        .filter(word -> word.length() >= SHORTEST_NAME);
  }

  private static String fold(String text) {
    return Normalizer.normalize(text, Normalizer.Form.NFD)
        .replaceAll("\\p{M}", "")
        .toLowerCase(Locale.ROOT);
  }
}
