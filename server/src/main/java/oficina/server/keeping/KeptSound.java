package oficina.server.keeping;

import java.util.Arrays;
import oficina.core.sound.G711;
import oficina.core.sound.Level;
import oficina.core.sound.Pcm;
import oficina.core.sound.SpeechDetector;

/**
 * Recorded sound as it is kept: samples of {@link Pcm}, each in one byte by the A-law of ITU-T
 * G.711, those of several channels in turn.
 */
public final class KeptSound {
  /** Samples of one channel in a chunk, which is a second. */
  public static final int CHUNK = Pcm.RATE;

  private static final int FRAMES_OF_QUIET_AT_THE_END = 500 / Pcm.FRAME_MS;

  private KeptSound() {}

  public static byte[] keep(short[] samples, int count) {
    byte[] kept = new byte[count];
    G711.A_LAW.encode(samples, count, kept);
    return kept;
  }

  public static short[] samples(byte[] kept) {
    short[] samples = new short[kept.length];
    G711.A_LAW.decode(kept, kept.length, samples);
    return samples;
  }

  /** One of several channels. */
  public static short[] channel(short[] samples, int channels, int which) {
    short[] one = new short[samples.length / channels];
    for (int i = 0; i < one.length; i++) {
      one[i] = samples[i * channels + which];
    }
    return one;
  }

  /** How much of it somebody speaks, and where they stop. */
  public record Speech(int frames, int end) {

    public static Speech in(short[] samples) {
      SpeechDetector detector = new SpeechDetector();
      int frames = 0;
      int end = 0;
      for (int from = 0; from + Pcm.FRAME <= samples.length; from += Pcm.FRAME) {
        if (detector.speaks(Level.of(Arrays.copyOfRange(samples, from, from + Pcm.FRAME)))) {
          frames++;
          end = from + Pcm.FRAME;
        }
      }
      return new Speech(frames, end);
    }
  }

  /** Without the silence after the last word, by which it was noticed that nothing more is said. */
  public static byte[] withoutTheEnd(byte[] kept) {
    int end = Speech.in(samples(kept)).end() + FRAMES_OF_QUIET_AT_THE_END * Pcm.FRAME;
    return end < kept.length ? Arrays.copyOf(kept, end) : kept;
  }
}
