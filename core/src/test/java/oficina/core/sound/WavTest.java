package oficina.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.time.Duration;
import java.util.Arrays;
import java.util.Random;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import oficina.core.sound.BadSoundException.Reason;
import oficina.core.tones.Goertzel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WavTest {
  private static final Duration LONGEST = Duration.ofSeconds(10);

  private static byte[] file(int rate, int bits, int channels, double seconds) throws IOException {
    int frames = (int) (rate * seconds);
    ByteBuffer bytes =
        ByteBuffer.allocate(frames * channels * bits / 8).order(ByteOrder.LITTLE_ENDIAN);
    for (int i = 0; i < frames; i++) {
      double value = 0.5 * Math.sin(2 * Math.PI * 1_000 * i / rate);
      for (int channel = 0; channel < channels; channel++) {
        switch (bits) {
          case 8 -> bytes.put((byte) (128 + Math.round(value * 127)));
          case 16 -> bytes.putShort((short) Math.round(value * 32_767));
          case 24 -> {
            int whole = (int) Math.round(value * 8_388_607);
            bytes.put((byte) whole).put((byte) (whole >> 8)).put((byte) (whole >> 16));
          }
          default -> bytes.putInt((int) Math.round(value * Integer.MAX_VALUE));
        }
      }
    }
    AudioFormat format = new AudioFormat(rate, bits, channels, bits > 8, /* bigEndian= */ false);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    AudioSystem.write(
        new AudioInputStream(new ByteArrayInputStream(bytes.array()), format, frames),
        AudioFileFormat.Type.WAVE,
        out);
    return out.toByteArray();
  }

  @ParameterizedTest
  @CsvSource({"16000, 16, 1", "44100, 16, 2", "48000, 24, 2", "8000, 8, 1", "22050, 32, 1"})
  void whatever_its_form_the_same_is_heard(int rate, int bits, int channels) throws Exception {
    short[] samples = Wav.read(file(rate, bits, channels, 1), LONGEST);
    assertThat(samples.length).isBetween(Pcm.RATE - 100, Pcm.RATE + 1);
    assertThat(Goertzel.amplitude(samples, 4_000, 8_000, 1_000)).isBetween(0.48, 0.52);
  }

  @Test
  void what_is_written_is_read_again() throws BadSoundException {
    short[] noise = Sounds.noise(3, 30_000, 12_345);
    assertThat(Wav.read(Wav.write(noise), LONGEST)).isEqualTo(noise);
  }

  private static void refuses(byte[] file, Reason reason) {
    assertThatThrownBy(() -> Wav.read(file, LONGEST))
        .isInstanceOfSatisfying(
            BadSoundException.class, e -> assertThat(e.reason()).isEqualTo(reason));
  }

  @Test
  void what_cannot_be_used_is_refused_with_the_reason() throws IOException {
    refuses(new byte[0], Reason.NOT_WAV);
    refuses("<html>no sound</html>".repeat(40).getBytes(), Reason.NOT_WAV);
    refuses(file(16_000, 16, 1, 0), Reason.EMPTY);
    refuses(file(16_000, 16, 1, 10.1), Reason.TOO_LONG);
    byte[] compressed = file(16_000, 16, 1, 1);
    compressed[20] = 0x55; // MPEG layer 3 in a WAV file
    refuses(compressed, Reason.COMPRESSED);
    byte[] halfFloats = file(16_000, 16, 1, 1);
    halfFloats[20] = 3; // floating point, of which 16 bits are none
    refuses(halfFloats, Reason.DAMAGED);
    refuses("FORM\0\0\0\56AIFFCOMM".getBytes(), Reason.NOT_WAV);
    refuses(".snd\0\0\0\30\0\0\0\0\0\0\0\1\0\0\37\100\0\0\0\1abcd".getBytes(), Reason.NOT_WAV);
    byte[] sped = file(16_000, 16, 1, 1);
    ByteBuffer.wrap(sped).order(ByteOrder.LITTLE_ENDIAN).putInt(24, 900_000_000);
    refuses(sped, Reason.DAMAGED);
  }

  /** Whatever is done to a file, it is read or refused. */
  @Test
  void no_damage_leads_to_anything_else() throws IOException {
    byte[] good = file(16_000, 16, 1, 0.1);
    Random random = new Random(11);
    for (int i = 0; i < 3_000; i++) {
      byte[] bad = Arrays.copyOf(good, random.nextInt(3) == 0 ? random.nextInt(200) : good.length);
      for (int changes = random.nextInt(6); changes >= 0 && bad.length > 0; changes--) {
        bad[random.nextInt(Math.min(60, bad.length))] = (byte) random.nextInt();
      }
      try {
        assertThat(Wav.read(bad, LONGEST)).isNotEmpty();
      } catch (BadSoundException e) {
        assertThat(e.reason()).isNotNull();
      }
    }
  }

  @Test
  void an_outline_shows_where_it_is_loud() {
    short[] samples = new short[1_000];
    Arrays.fill(samples, 500, 600, Short.MIN_VALUE);
    byte[] outline = Outline.of(samples, 10);
    assertThat(outline).hasSize(10).containsExactly(0, 0, 0, 0, 0, 100, 0, 0, 0, 0);
    assertThat(Outline.of(new short[3], 10)).hasSize(10);
  }

  @Test
  void speech_is_told_from_noise() {
    SpeechDetector detector = new SpeechDetector();
    for (int i = 0; i < 200; i++) {
      assertThat(detector.speaks(62 + i % 3)).isFalse();
    }
    assertThat(detector.speaks(25)).isTrue();
    for (int i = 0; i < 10; i++) {
      assertThat(detector.speaks(Level.SILENCE)).as("between two words").isTrue();
    }
    for (int i = 0; i < 10; i++) {
      detector.speaks(Level.SILENCE);
    }
    assertThat(detector.speaks(Level.SILENCE)).isFalse();
    assertThat(Level.of(new short[Pcm.FRAME])).isEqualTo(Level.SILENCE);
    assertThat(Level.of(Sounds.sine(1_000, 1, Pcm.RATE, Pcm.FRAME))).isEqualTo(3);
  }
}
