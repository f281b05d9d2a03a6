package oficina.core.sound;

import java.util.Arrays;

/**
 * Lets recorded speech be heard slower or faster at the height it was spoken in, by overlapping
 * pieces of it where they fit one another best (waveform similarity overlap-add, WSOLA).
 */
public final class TimeStretch {
  /** How far apart pieces begin in what is heard: half of a piece, which covers some periods. */
  private static final int HOP = Pcm.FRAME;

  private static final int PIECE = 2 * HOP;

  /** How far a piece may be moved to fit: a period of the deepest voices. */
  private static final int REACH = Pcm.RATE / 100;

  /** Only every so manieth sample is compared: voices have little above what is left. */
  private static final int COARSE = 4;

  /** Two of them, half a piece apart, add up to one. */
  private static final float[] WINDOW = new float[PIECE];

  static {
    for (int i = 0; i < PIECE; i++) {
      WINDOW[i] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * i / PIECE));
    }
  }

  private TimeStretch() {}

  /**
   * The same sound, so much faster.
   *
   * @param speed 1 leaves it as it is, 2 halves how long it lasts
   * @throws IllegalArgumentException when the speed is not between a quarter and four
   */
  public static short[] at(double speed, short[] samples) {
    if (!(speed >= 0.25 && speed <= 4)) {
      throw new IllegalArgumentException("speed: " + speed);
    }
    if (speed == 1 || samples.length < PIECE + REACH) {
      return samples;
    }
    int length = (int) Math.round(samples.length / speed);
    float[] sum = new float[length + PIECE];
    int taken = 0;
    for (int k = 0; k * HOP < length; k++) {
      int wanted = (int) Math.round(k * HOP * speed);
      int from = k == 0 ? 0 : fitting(samples, wanted, taken + HOP);
      // The first piece has none before it whose end would fade into its beginning.
      for (int i = 0; i < PIECE; i++) {
        float weight = k == 0 && i < HOP ? 1 : WINDOW[i];
        sum[k * HOP + i] += weight * sample(samples, from + i);
      }
      taken = from;
    }
    short[] heard = new short[length];
    for (int i = 0; i < length; i++) {
      heard[i] = Pcm.clip(sum[i]);
    }
    return heard;
  }

  /** Where near this place the sound is most like what would have followed the piece before. */
  private static int fitting(short[] samples, int wanted, int follows) {
    int best = wanted;
    double most = Double.NEGATIVE_INFINITY;
    for (int from = Math.max(0, wanted - REACH); from <= wanted + REACH; from += 2) {
      double alike = 0;
      double loud = 1;
      for (int i = 0; i < HOP; i += COARSE) {
        double own = sample(samples, from + i);
        alike += own * sample(samples, follows + i);
        loud += own * own;
      }
      double likeness = alike / Math.sqrt(loud);
      if (likeness > most) {
        most = likeness;
        best = from;
      }
    }
    return best;
  }

  private static short sample(short[] samples, int at) {
    return at < samples.length ? samples[at] : 0;
  }

  /** The sound from there on. */
  public static short[] from(int at, short[] samples) {
    return Arrays.copyOfRange(samples, Math.min(at, samples.length), samples.length);
  }
}
