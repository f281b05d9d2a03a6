package oficina.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TimeStretchTest {
  private static final int SECOND = Pcm.RATE;

  @ParameterizedTest
  @ValueSource(doubles = {0.75, 1.25, 1.5, 2})
  void a_voice_lasts_as_long_as_wanted_and_keeps_its_height_and_loudness(double speed) {
    short[] voice = Sounds.sine(220, 0.5, Pcm.RATE, 2 * SECOND);
    short[] heard = TimeStretch.at(speed, voice);
    assertThat(heard.length / (2.0 * SECOND)).isCloseTo(1 / speed, within(0.001));
    short[] middle = java.util.Arrays.copyOfRange(heard, 2_000, heard.length - 2_000);
    assertThat(Sounds.amplitude(middle, 220))
        .isCloseTo(Sounds.amplitude(voice, 220), within(Sounds.amplitude(voice, 220) * 0.05));
    assertThat(Sounds.amplitude(middle, 220 * speed))
        .as("no other height")
        .isLessThan(Sounds.amplitude(voice, 220) * 0.02);
  }

  @Test
  void words_and_pauses_stay_where_they_were_said() {
    short[] sound = new short[4 * SECOND];
    System.arraycopy(Sounds.sine(300, 0.5, Pcm.RATE, SECOND), 0, sound, 2 * SECOND, SECOND);
    short[] heard = TimeStretch.at(2, sound);
    assertThat(loud(heard, 0, SECOND - 800)).isZero();
    assertThat(loud(heard, SECOND + 800, SECOND * 3 / 2 - 800)).isGreaterThan(8_000);
    assertThat(loud(heard, SECOND * 3 / 2 + 800, 2 * SECOND)).isZero();
  }

  private static int loud(short[] sound, int from, int to) {
    int most = 0;
    for (int i = from; i < to; i++) {
      most = Math.max(most, Math.abs(sound[i]));
    }
    return most;
  }

  @Test
  void what_is_too_short_to_be_moved_stays_and_no_speed_is_out_of_the_world() {
    short[] click = Sounds.noise(1, 1_000, 300);
    assertThat(TimeStretch.at(2, click)).isSameAs(click);
    assertThat(TimeStretch.from(500, click)).isEmpty();
    for (double speed : new double[] {0, -1, 5, Double.NaN}) {
      assertThatThrownBy(() -> TimeStretch.at(speed, click))
          .isInstanceOf(IllegalArgumentException.class);
    }
  }
}
