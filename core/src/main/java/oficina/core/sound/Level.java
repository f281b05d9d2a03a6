package oficina.core.sound;

/**
 * How loud sound is, in decibels below overload (dBov), as RFC 6464 counts: 0 loudest, 127 none.
 */
public final class Level {
  /** Digital silence. */
  public static final int SILENCE = 127;

  private static final double OVERLOAD = (double) Short.MAX_VALUE * Short.MAX_VALUE;

  private Level() {}

  /** The level of a frame: root mean square against the largest square wave. */
  public static int of(short[] frame) {
    long squares = 0;
    for (short sample : frame) {
      squares += sample * sample;
    }
    if (squares == 0) {
      return SILENCE;
    }
    double below = -10 * Math.log10((double) squares / frame.length / OVERLOAD);
    return (int) Math.max(0, Math.min(SILENCE, Math.round(below)));
  }
}
