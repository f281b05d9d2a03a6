package oficina.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MixerTest {
  private final Mixer mixer = new Mixer();
  private final short[] out = new short[Pcm.FRAME];

  /** Whole periods in a frame, so that tones do not leak into each other. */
  private static int hertz(int party) {
    return 50 * (party + 3);
  }

  @ParameterizedTest
  @ValueSource(ints = {2, 3, 16})
  void everybody_hears_all_others_and_not_themselves(int parties) {
    short[][] voices = new short[parties][];
    for (int i = 0; i < parties; i++) {
      voices[i] = Sounds.sine(hertz(i), 0.03, Pcm.RATE, Pcm.FRAME);
      mixer.add(voices[i]);
    }
    for (int listener = 0; listener < parties; listener++) {
      mixer.writeWithout(voices[listener], out);
      for (int i = 0; i < parties; i++) {
        double heard = Sounds.amplitude(out, hertz(i));
        if (i == listener) {
          assertThat(heard).isLessThan(0.001);
        } else {
          assertThat(heard).isBetween(0.028, 0.032);
        }
      }
    }
  }

  @Test
  void what_was_added_before_is_forgotten() {
    mixer.add(Sounds.noise(1, 9_000, Pcm.FRAME));
    mixer.clear();
    mixer.write(out);
    assertThat(out).containsOnly((short) 0);
  }

  @Test
  void loud_sums_are_bent_and_never_wrap_around() {
    int before = -1;
    for (int value = 0; value <= 16 * Short.MAX_VALUE; value += 7) {
      int bent = Mixer.bent(value);
      assertThat(bent).isGreaterThanOrEqualTo(before).isLessThanOrEqualTo(Short.MAX_VALUE);
      assertThat(Mixer.bent(-value)).isEqualTo((short) -bent);
      before = bent;
    }
    assertThat(Mixer.bent(20_000)).isEqualTo((short) 20_000);
  }
}
