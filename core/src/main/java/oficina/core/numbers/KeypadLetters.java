package oficina.core.numbers;

/** The letters on the keys of a telephone (ITU-T E.161, option A). */
public final class KeypadLetters {
  private static final String KEY_OF = "22233344455566677778889999";

  private KeypadLetters() {}

  /**
   * The digits that spell a word.
   *
   * @param word letters A to Z in either case; anything else is left out
   */
  public static String digitsOf(String word) {
    StringBuilder digits = new StringBuilder(word.length());
    for (int i = 0; i < word.length(); i++) {
      char letter = Character.toLowerCase(word.charAt(i));
      if (letter >= 'a' && letter <= 'z') {
        digits.append(KEY_OF.charAt(letter - 'a'));
      }
    }
    return digits.toString();
  }
}
