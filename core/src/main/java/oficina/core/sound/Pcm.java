package oficina.core.sound;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.time.Duration;
import java.util.Arrays;

/**
 * The form in which sound is computed: linear samples of 16 bits, one channel, wideband as in ITU-T
 * G.722, in frames of 20 ms.
 */
public final class Pcm {
  /** Samples a second. */
  public static final int RATE = 16_000;

  /** How long a frame lasts, in milliseconds. */
  public static final int FRAME_MS = 20;

  /** Samples of a frame. */
  public static final int FRAME = RATE * FRAME_MS / 1000;

  private Pcm() {}

  /** Samples as they are stored: 16 bits each, the lower byte first. */
  public static byte[] bytes(short[] samples) {
    ByteBuffer bytes = ByteBuffer.allocate(samples.length * 2).order(ByteOrder.LITTLE_ENDIAN);
    bytes.asShortBuffer().put(samples);
    return bytes.array();
  }

  /** The samples that were stored so. */
  public static short[] samples(byte[] bytes) {
    short[] samples = new short[bytes.length / 2];
    ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asShortBuffer().get(samples);
    return samples;
  }

  /** How many samples last so long. */
  public static int samples(Duration time) {
    return Math.toIntExact(time.toMillis() * RATE / 1000);
  }

  /**
   * Writes what follows from a place of a sound.
   *
   * @param from in samples from its beginning
   * @param again whether it begins again when it is over; otherwise silence follows
   */
  public static void play(short[] sound, long from, boolean again, short[] out) {
    int written = 0;
    while (written < out.length && sound.length > 0 && (again || from + written < sound.length)) {
      int at = (int) ((from + written) % sound.length);
      int length = Math.min(out.length - written, sound.length - at);
      System.arraycopy(sound, at, out, written, length);
      written += length;
    }
    Arrays.fill(out, written, out.length, (short) 0);
  }

  /** The nearest value that a sample can have. */
  public static short clip(double value) {
    return (short) Math.max(Short.MIN_VALUE, Math.min(Short.MAX_VALUE, Math.round(value)));
  }
}
