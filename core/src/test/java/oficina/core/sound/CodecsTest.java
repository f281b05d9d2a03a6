package oficina.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import oficina.core.tones.Goertzel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CodecsTest {
  @ParameterizedTest
  @EnumSource(G711.class)
  void companding_keeps_speech_as_the_standard_says(G711 law) {
    for (double loud : new double[] {0.9, 0.1, 0.01}) {
      short[] sound = Sounds.sine(440, loud, 8_000, 8_000);
      byte[] bytes = new byte[sound.length];
      short[] back = new short[sound.length];
      law.encode(sound, sound.length, bytes);
      law.decode(bytes, bytes.length, back);
      // ITU-T G.712 wants 33 dB and more between -30 and 0 dBm0.
      assertThat(Sounds.signalToNoise(sound, back, 0, sound.length)).isGreaterThan(33);
    }
  }

  /** The first and last values of the tables in ITU-T G.711, scaled to 16 bits. */
  @Test
  void the_ends_of_both_scales_are_those_of_the_standard() {
    assertThat(G711.MU_LAW.expand(0x80)).isEqualTo(32_124);
    assertThat(G711.MU_LAW.expand(0x00)).isEqualTo(-32_124);
    assertThat(G711.MU_LAW.expand(0xFF)).isZero();
    assertThat(G711.A_LAW.expand(0xAA)).isEqualTo(32_256);
    assertThat(G711.A_LAW.expand(0x2A)).isEqualTo(-32_256);
    assertThat(G711.A_LAW.expand(0xD5)).isEqualTo(8);
    for (int code = 0; code < 256; code++) {
      assertThat(G711.A_LAW.compress(G711.A_LAW.expand(code))).isEqualTo((byte) code);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "8000, 16000",
    "16000, 8000",
    "44100, 16000",
    "48000, 16000",
    "22050, 16000",
    "11025, 16000"
  })
  void another_rate_changes_nothing_that_is_heard(int from, int to) {
    int seconds = 1;
    short[] sound = Sounds.sine(1_000, 0.5, from, from * seconds);
    Resampler resampler = new Resampler(from, to);
    short[] out = new short[0];
    short[] block = new short[resampler.most(500)];
    for (int at = 0; at < sound.length; at += 500) { // as it comes, not in one piece
      int count = Math.min(500, sound.length - at);
      int written = resampler.resample(Arrays.copyOfRange(sound, at, at + count), count, block);
      out = Arrays.copyOf(out, out.length + written);
      System.arraycopy(block, 0, out, out.length - written, written);
    }
    assertThat(out.length).isBetween(to * seconds - 200, to * seconds + 2);
    int half = out.length / 2;
    double amplitude = amplitude(out, half - to / 10, to / 5, 1_000, to);
    assertThat(amplitude).isBetween(0.495, 0.505);
    double power = 0;
    for (int i = half - to / 10; i < half + to / 10; i++) {
      power += (double) out[i] * out[i];
    }
    double rest = power / (to / 5) / Math.pow(Short.MAX_VALUE, 2) - amplitude * amplitude / 2;
    assertThat(rest).as("noise beside the tone").isLessThan(1e-5);
  }

  private static double amplitude(short[] samples, int from, int count, double hertz, int rate) {
    return Goertzel.amplitude(samples, from, count, hertz * Pcm.RATE / rate);
  }

  @Test
  void what_would_be_heard_as_another_tone_is_left_out() {
    short[] sound = Sounds.sine(6_000, 0.5, 16_000, 16_000);
    short[] out = new short[8_002];
    int count = new Resampler(16_000, 8_000).resample(sound, sound.length, out);
    assertThat(Level.of(Arrays.copyOfRange(out, 500, count - 500))).isGreaterThan(60);
  }

  @Test
  void lost_frames_go_on_as_the_voice_was_and_fade() {
    Concealment concealment = new Concealment();
    short[] voice = Sounds.sine(200, 0.3, Pcm.RATE, 20 * Pcm.FRAME);
    for (int i = 0; i < 10; i++) {
      concealment.came(Arrays.copyOfRange(voice, i * Pcm.FRAME, (i + 1) * Pcm.FRAME));
    }
    short[] made = new short[Pcm.FRAME];
    concealment.lost(made);
    short[] wanted = Arrays.copyOfRange(voice, 10 * Pcm.FRAME, 11 * Pcm.FRAME);
    assertThat(correlation(wanted, made)).isGreaterThan(0.95);
    for (int i = 0; i < 4; i++) {
      concealment.lost(made);
    }
    assertThat(Level.of(made)).isEqualTo(Level.SILENCE);
  }

  private static double correlation(short[] a, short[] b) {
    double product = 0;
    double first = 0;
    double second = 0;
    for (int i = 0; i < a.length; i++) {
      product += a[i] * b[i];
      first += a[i] * a[i];
      second += b[i] * b[i];
    }
    return product / Math.sqrt(first * second);
  }
}
