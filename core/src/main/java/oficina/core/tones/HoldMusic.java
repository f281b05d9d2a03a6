package oficina.core.tones;

import oficina.core.sound.Pcm;

/**
 * The music that waiting callers hear unless the office has uploaded its own: a slow piece of ours
 * for three plucked strings, computed note by note, so that it belongs to nobody else. It ends
 * where it begins.
 */
public final class HoldMusic {
  private static final double BEAT = 0.6;
  private static final int BEATS_OF_BAR = 4;
  private static final double LOUD = 11_000;

  /** Semitones above A2 (110 Hz): the root of each bar, then the three notes laid over it. */
  private static final int[][] BARS = {
    {0, 12, 19, 23},
    {-4, 12, 15, 20},
    {3, 15, 19, 22},
    {-2, 14, 17, 22},
    {0, 12, 16, 19},
    {5, 12, 17, 21},
    {-5, 11, 14, 19},
    {-5, 11, 14, 17},
  };

  /** Semitones above A4 of the melody, one for each half beat; {@code REST} for none. */
  private static final int REST = Integer.MIN_VALUE;

  private static final int[][] MELODY = {
    {7, REST, 3, REST, 2, 0, REST, REST},
    {0, REST, REST, 3, REST, 2, 0, REST},
    {3, REST, 7, REST, 10, REST, 7, REST},
    {5, REST, 2, REST, -2, REST, REST, REST},
    {4, REST, 7, REST, 9, 7, REST, REST},
    {9, REST, REST, 5, REST, 4, 0, REST},
    {2, REST, -1, REST, 2, REST, 5, REST},
    {2, REST, REST, REST, -1, REST, REST, REST},
  };

  private HoldMusic() {}

  /** The whole piece, to be played again and again. */
  public static short[] piece() {
    double bar = BEAT * BEATS_OF_BAR;
    double[] sum = new double[(int) Math.round(BARS.length * bar * Pcm.RATE)];
    for (int i = 0; i < BARS.length; i++) {
      pluck(sum, i * bar, BARS[i][0], 110, 1.0, 2.4);
      for (int note = 1; note < BARS[i].length; note++) {
        pluck(sum, i * bar + note * BEAT, BARS[i][note], 110, 0.45, 1.6);
      }
      for (int half = 0; half < MELODY[i].length; half++) {
        if (MELODY[i][half] != REST) {
          pluck(sum, i * bar + half * BEAT / 2, MELODY[i][half], 440, 0.55, 1.1);
        }
      }
    }
    short[] piece = new short[sum.length];
    for (int i = 0; i < sum.length; i++) {
      piece[i] = Pcm.clip(LOUD * sum[i]);
    }
    return piece;
  }

  /** A string plucked once: overtones that die away the sooner, the higher they are. */
  private static void pluck(
      double[] sum, double at, int semitones, double base, double loud, double seconds) {
    double hertz = base * Math.pow(2, semitones / 12.0);
    int from = (int) (at * Pcm.RATE);
    int length = (int) (seconds * Pcm.RATE);
    for (int i = 0; i < length; i++) {
      double t = (double) i / Pcm.RATE;
      double value = 0;
      for (int overtone = 1; overtone <= 4 && overtone * hertz < 3_400; overtone++) {
        double decay = Math.exp(-t * (2.2 + 1.6 * overtone) / seconds);
        value += Math.sin(2 * Math.PI * overtone * hertz * t) * decay / (overtone * overtone);
      }
      double attack = Math.min(1, t / 0.008);
      double end = Math.min(1, (length - i) / (0.05 * Pcm.RATE));
      sum[(from + i) % sum.length] += 0.5 * loud * attack * end * value;
    }
  }
}
