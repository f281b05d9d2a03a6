package oficina.core.passwords;

/** Which secret numbers may be chosen: none of those that are tried first. */
public final class PinRules {
  private static final int FEWEST_DIGITS = 3;

  private PinRules() {}

  /**
   * Whether it is guessed soon: of one or two digits, one after the other up or down, or the
   * extension of whose it is.
   *
   * @param pin digits
   */
  public static boolean isTooSimple(String pin, String extension) {
    return pin.chars().distinct().count() < FEWEST_DIGITS
        || goesBy(pin, 1)
        || goesBy(pin, -1)
        || pin.contains(extension);
  }

  private static boolean goesBy(String pin, int step) {
    for (int i = 1; i < pin.length(); i++) {
      if (Math.floorMod(pin.charAt(i) - pin.charAt(i - 1) - step, 10) != 0) {
        return false;
      }
    }
    return true;
  }
}
