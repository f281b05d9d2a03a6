package oficina.core.sound;

import java.util.Arrays;

/**
 * Adds voices up, so that each party of a conference hears all others and not itself. One sum
 * serves all listeners: whoever is in it hears it without their own voice.
 *
 * <p>Where many speak at once the sum is bent smoothly towards the largest value instead of being
 * cut off there, which would crackle.
 */
public final class Mixer {
  /** Up to here nothing is changed: a quarter below the largest value. */
  private static final int KNEE = 24_576;

  private static final int ROOM = Short.MAX_VALUE - KNEE;

  private final int[] sum = new int[Pcm.FRAME];

  /** Begins with nothing. */
  public void clear() {
    Arrays.fill(sum, 0);
  }

  /** Adds a frame. */
  public void add(short[] voice) {
    for (int i = 0; i < Pcm.FRAME; i++) {
      sum[i] += voice[i];
    }
  }

  /** Writes what was added up. */
  public void write(short[] out) {
    for (int i = 0; i < Pcm.FRAME; i++) {
      out[i] = bent(sum[i]);
    }
  }

  /** Writes what was added up but for one voice, which is one of those added. */
  public void writeWithout(short[] own, short[] out) {
    for (int i = 0; i < Pcm.FRAME; i++) {
      out[i] = bent(sum[i] - own[i]);
    }
  }

  static short bent(int value) {
    int size = Math.abs(value);
    if (size <= KNEE) {
      return (short) value;
    }
    int over = size - KNEE;
    int bent = KNEE + (int) ((long) ROOM * over / (ROOM + over));
    return (short) (value < 0 ? -bent : bent);
  }
}
