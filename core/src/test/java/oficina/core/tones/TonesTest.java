package oficina.core.tones;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import oficina.core.sound.Level;
import oficina.core.sound.Pcm;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TonesTest {
  private static double heard(short[] sound, int fromMillis, int toMillis, int hertz) {
    int from = fromMillis * Pcm.RATE / 1000;
    return Goertzel.amplitude(sound, from, toMillis * Pcm.RATE / 1000 - from, hertz);
  }

  @Test
  void the_british_ringing_tone_is_two_short_double_tones() {
    short[] round = Tones.in("GB").ringing().round();
    assertThat(round).hasSize(3 * Pcm.RATE);
    for (int[] on : new int[][] {{0, 400}, {600, 1000}}) {
      assertThat(heard(round, on[0], on[1], 400)).isGreaterThan(0.05);
      assertThat(heard(round, on[0], on[1], 450)).isGreaterThan(0.05);
    }
    for (int[] off : new int[][] {{400, 600}, {1000, 3000}}) {
      assertThat(heard(round, off[0], off[1], 400)).isZero();
    }
  }

  @ParameterizedTest
  @CsvSource({
    "GB, 750, 400",
    "US, 1000, 480",
    "DE, 960, 425",
    "FR, 1000, 440",
    "ES, 400, 425",
    "PT, 1000, 425"
  })
  void a_busy_tone_is_on_for_half_of_its_time(String country, int millis, int hertz) {
    short[] round = Tones.in(country).busy().round();
    assertThat(round).hasSize(millis * Pcm.RATE / 1000);
    assertThat(heard(round, 0, millis / 2, hertz)).isGreaterThan(0.05);
    assertThat(heard(round, millis / 2, millis, hertz)).isZero();
  }

  @ParameterizedTest
  @ValueSource(strings = {"GB", "IE", "US", "CA", "DE", "AT", "FR", "ES", "PT", "NZ", ""})
  void every_tone_of_every_country_can_be_heard_and_is_not_too_loud(String country) {
    Tones tones = Tones.in(country);
    for (Cadence each :
        List.of(
            tones.ringing(),
            tones.busy(),
            tones.congestion(),
            tones.information(),
            tones.waiting())) {
      short[] loudest = Arrays.copyOf(each.round(), Pcm.RATE / 10);
      assertThat(Level.of(loudest)).isBetween(12, 26);
    }
  }

  @Test
  void a_tone_without_a_pause_goes_on_without_a_click() {
    short[] round = Tones.in("GB").information().round();
    int step = Math.abs(round[0] - round[round.length - 1]);
    assertThat(step).isLessThan(Math.abs(round[1] - round[0]) + 2);
  }

  @ParameterizedTest
  @CsvSource({
    "1, 697, 1209",
    "5, 770, 1336",
    "9, 852, 1477",
    "*, 941, 1209",
    "0, 941, 1336",
    "D, 941, 1633"
  })
  void a_key_is_its_two_frequencies(char key, int low, int high) {
    short[] sound = Dtmf.sound("p" + key);
    assertThat(heard(sound, 0, 1000, low)).isZero();
    assertThat(heard(sound, 1000, 1100, low)).isGreaterThan(0.05);
    assertThat(heard(sound, 1000, 1100, high)).isGreaterThan(0.05);
    assertThat(heard(sound, 1100, 1180, high)).isZero();
    for (int other : List.of(697, 770, 852, 941, 1209, 1336, 1477, 1633)) {
      if (other != low && other != high) {
        assertThat(heard(sound, 1000, 1100, other)).isLessThan(0.02);
      }
    }
  }

  @Test
  void what_is_no_key_is_refused() {
    assertThatThrownBy(() -> Dtmf.hertz('x')).hasMessageContaining("x");
  }

  @Test
  void the_music_is_neither_cut_off_nor_silent_and_ends_where_it_begins() {
    short[] piece = HoldMusic.piece();
    assertThat(piece.length).isGreaterThan(15 * Pcm.RATE);
    int largest = 0;
    for (short sample : piece) {
      largest = Math.max(largest, Math.abs((int) sample));
    }
    assertThat(largest).isBetween(6_000, 26_000);
    for (int second = 0; second < piece.length / Pcm.RATE; second++) {
      int from = second * Pcm.RATE;
      assertThat(Level.of(Arrays.copyOfRange(piece, from, from + Pcm.RATE))).isLessThan(40);
    }
    assertThat(Math.abs(piece[0] - piece[piece.length - 1])).isLessThan(600);
  }
}
