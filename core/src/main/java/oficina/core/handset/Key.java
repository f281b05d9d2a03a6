package oficina.core.handset;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * A key, or the hook, of a telephone.
 *
 * @param number which of them, from 0, where there are several; of {@link Kind#DIGIT} its place in
 *     {@link #DIGITS}
 */
public record Key(Kind kind, int number) {
  /** The keypad of ITU-T E.161. */
  public static final String DIGITS = "0123456789*#";

  /** What a telephone has keys for. */
  public enum Kind {
    DIGIT(DIGITS.length()),
    /** Beneath the display; their words follow the call. */
    SOFT(Panel.SOFT_KEYS),
    /** With a lamp; each stands for something. */
    LINE(Panel.LINE_KEYS),
    /** The handset is lifted. */
    OFF_HOOK(1),
    /** The handset is put down. */
    ON_HOOK(1),
    SPEAKER(1),
    HEADSET(1),
    MUTE(1),
    HOLD(1),
    END(1),
    REDIAL(1),
    DIRECTORY(1),
    HISTORY(1),
    MISSED(1),
    MESSAGES(1),
    UP(1),
    DOWN(1);

    private final int count;

    Kind(int count) {
      this.count = count;
    }
  }

  /** The one of its kind. */
  public static Key of(Kind kind) {
    return new Key(kind, 0);
  }

  public static Key digit(char digit) {
    return new Key(Kind.DIGIT, DIGITS.indexOf(digit));
  }

  /** What a digit key is marked with. */
  public char digit() {
    return DIGITS.charAt(number);
  }

  /**
   * As a telephone reports it.
   *
   * @param kind name of the kind
   * @return null when there is no such key
   */
  public static @Nullable Key reported(String kind, int number) {
    for (Kind each : Kind.values()) {
      if (each.name().equals(kind.toUpperCase(Locale.ROOT)) && number >= 0 && number < each.count) {
        return new Key(each, number);
      }
    }
    return null;
  }
}
