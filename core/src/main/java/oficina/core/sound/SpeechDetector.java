package oficina.core.sound;

/**
 * Tells whether somebody speaks: sound well above the noise that is always there, and a little
 * longer, so that the pauses between words count as speech.
 */
public final class SpeechDetector {
  /** So much louder than the noise, in decibels. */
  private static final int ABOVE_NOISE = 12;

  /** Softer than this, in dBov, is nobody. */
  private static final int SOFTEST = 50;

  private static final int HANG_OVER_FRAMES = 300 / Pcm.FRAME_MS;

  /** Noise is taken to rise so slowly that a sentence does not become noise. */
  private static final double RISE = 0.02;

  private double noise = 70;
  private int left;

  /** Takes in the level of the next frame, in dBov. */
  public boolean speaks(int level) {
    noise = level > noise ? level : noise - RISE;
    if (level < SOFTEST && level < noise - ABOVE_NOISE) {
      left = HANG_OVER_FRAMES;
    } else if (left > 0) {
      left--;
    }
    return left > 0;
  }
}
