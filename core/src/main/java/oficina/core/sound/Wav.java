package oficina.core.sound;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Set;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioFormat.Encoding;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import oficina.core.sound.BadSoundException.Reason;

/** Sound as a file: RIFF WAVE, read by the Java platform in whatever form it comes. */
public final class Wav {
  private static final Set<Encoding> READ =
      Set.of(
          Encoding.PCM_SIGNED,
          Encoding.PCM_UNSIGNED,
          Encoding.PCM_FLOAT,
          Encoding.ALAW,
          Encoding.ULAW);
  private static final int SLOWEST = 6_000;
  private static final int FASTEST = 192_000;
  private static final int MOST_CHANNELS = 8;

  /** How many bytes a file of this application has before its sound. */
  public static final int HEADER = 44;

  private Wav() {}

  /**
   * Reads a file: any rate, any number of channels, which are mixed into one.
   *
   * @param longest longer sound is refused
   * @return samples as in {@link Pcm}
   * @throws BadSoundException when it cannot be used
   */
  public static short[] read(byte[] file, Duration longest) throws BadSoundException {
    if (!isWav(file)) {
      throw new BadSoundException(Reason.NOT_WAV); // the platform reads other kinds as well
    }
    try (AudioInputStream sound = AudioSystem.getAudioInputStream(new ByteArrayInputStream(file))) {
      AudioFormat format = sound.getFormat();
      if (!READ.contains(format.getEncoding()) || format.getSampleSizeInBits() > 64) {
        throw new BadSoundException(Reason.COMPRESSED);
      }
      int rate = Math.round(format.getSampleRate());
      int channels = format.getChannels();
      if (rate < SLOWEST
          || rate > FASTEST
          || channels < 1
          || channels > MOST_CHANNELS
          || !has(format.getEncoding(), format.getSampleSizeInBits())
          || format.getFrameSize() != channels * format.getSampleSizeInBits() / 8) {
        throw new BadSoundException(Reason.DAMAGED);
      }
      long most = longest.toMillis() * rate / 1000;
      byte[] bytes = sound.readNBytes(Math.toIntExact((most + 1) * format.getFrameSize()));
      int count = bytes.length / format.getFrameSize();
      if (count > most) {
        throw new BadSoundException(Reason.TOO_LONG);
      }
      if (count == 0) {
        throw new BadSoundException(Reason.EMPTY);
      }
      return resampled(oneChannel(bytes, count, format), rate);
    } catch (UnsupportedAudioFileException e) {
      throw new BadSoundException(Reason.COMPRESSED);
    } catch (IOException | ArithmeticException e) {
      throw new BadSoundException(Reason.DAMAGED);
    }
  }

  private static boolean isWav(byte[] file) {
    return file.length > 12
        && Arrays.equals(Arrays.copyOf(file, 4), new byte[] {'R', 'I', 'F', 'F'})
        && Arrays.equals(Arrays.copyOfRange(file, 8, 12), new byte[] {'W', 'A', 'V', 'E'});
  }

  /** Whether there are samples of so many bits. */
  private static boolean has(Encoding encoding, int bits) {
    if (encoding.equals(Encoding.PCM_FLOAT)) {
      return bits == 32 || bits == 64;
    }
    return encoding.equals(Encoding.PCM_SIGNED)
        ? bits % 8 == 0 && bits <= 32 && bits > 0
        : bits == 8;
  }

  private static short[] oneChannel(byte[] bytes, int count, AudioFormat format) {
    ByteBuffer in =
        ByteBuffer.wrap(bytes)
            .order(format.isBigEndian() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
    int channels = format.getChannels();
    short[] samples = new short[count];
    for (int i = 0; i < count; i++) {
      double sum = 0;
      for (int channel = 0; channel < channels; channel++) {
        sum += sample(in, format);
      }
      samples[i] = Pcm.clip(sum / channels);
    }
    return samples;
  }

  /** The next sample, of the size of one of 16 bits. */
  private static double sample(ByteBuffer in, AudioFormat format) {
    Encoding encoding = format.getEncoding();
    int bits = format.getSampleSizeInBits();
    if (encoding.equals(Encoding.ULAW)) {
      return G711.MU_LAW.expand(in.get() & 0xFF);
    }
    if (encoding.equals(Encoding.ALAW)) {
      return G711.A_LAW.expand(in.get() & 0xFF);
    }
    if (encoding.equals(Encoding.PCM_FLOAT)) {
      return (bits == 64 ? in.getDouble() : in.getFloat()) * Short.MAX_VALUE;
    }
    if (encoding.equals(Encoding.PCM_UNSIGNED)) {
      return ((in.get() & 0xFF) - 128) * 256.0;
    }
    return switch (bits) {
      case 8 -> in.get() * 256.0;
      case 16 -> in.getShort();
      case 24 -> {
        int low = in.get() & 0xFF;
        int middle = in.get() & 0xFF;
        yield (low + (middle << 8) + (in.get() << 16)) / 256.0;
      }
      default -> in.getInt() / 65_536.0;
    };
  }

  private static short[] resampled(short[] samples, int rate) {
    if (rate == Pcm.RATE) {
      return samples;
    }
    Resampler resampler = new Resampler(rate, Pcm.RATE);
    short[] out = new short[resampler.most(samples.length)];
    return Arrays.copyOf(out, resampler.resample(samples, samples.length, out));
  }

  /** Writes samples as in {@link Pcm} as a file of 16 bits. */
  public static byte[] write(short[] samples) {
    return ByteBuffer.allocate(HEADER + samples.length * 2)
        .put(header(samples.length, 1))
        .put(Pcm.bytes(samples))
        .array();
  }

  /**
   * The beginning of a file of 16 bits.
   *
   * @param samples of each channel, at the rate of {@link Pcm}
   */
  public static byte[] header(int samples, int channels) {
    int frame = channels * 2;
    int size = samples * frame;
    return ByteBuffer.allocate(HEADER)
        .order(ByteOrder.LITTLE_ENDIAN)
        .put("RIFF".getBytes(StandardCharsets.US_ASCII))
        .putInt(HEADER - 8 + size)
        .put("WAVEfmt ".getBytes(StandardCharsets.US_ASCII))
        .putInt(16)
        .putShort((short) 1)
        .putShort((short) channels)
        .putInt(Pcm.RATE)
        .putInt(Pcm.RATE * frame)
        .putShort((short) frame)
        .putShort((short) 16)
        .put("data".getBytes(StandardCharsets.US_ASCII))
        .putInt(size)
        .array();
  }
}
