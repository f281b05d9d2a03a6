package oficina.server.softphone;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntFunction;
import oficina.core.sound.OggOpus;
import oficina.core.sound.Pcm;

/** Sound as a small file that most players read. */
public final class OpusFile {
  private static final int LARGEST = 1_275;

  private OpusFile() {}

  /** Whether this machine can make one. */
  public static boolean possible() {
    return Opus.THERE;
  }

  /**
   * @param second the samples of a second, as in {@link Pcm}; of the last perhaps fewer
   */
  public static byte[] of(int seconds, IntFunction<short[]> second) {
    List<byte[]> packets = new ArrayList<>();
    try (OpusCodec codec = new OpusCodec()) {
      byte[] packet = new byte[LARGEST];
      for (int number = 0; number < seconds; number++) {
        short[] samples = second.apply(number);
        for (int from = 0; from < samples.length; from += Pcm.FRAME) {
          short[] frame =
              Arrays.copyOfRange(samples, from, from + Pcm.FRAME); // the last with silence
          packets.add(Arrays.copyOf(packet, codec.encode(frame, packet)));
        }
      }
    }
    return OggOpus.file(packets, seconds);
  }
}
