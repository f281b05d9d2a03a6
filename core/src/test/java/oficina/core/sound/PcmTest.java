package oficina.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PcmTest {
  private static final short[] SOUND = {1, 2, 3};

  private static short[] played(short[] sound, long from, boolean again) {
    short[] out = {9, 9, 9, 9, 9};
    Pcm.play(sound, from, again, out);
    return out;
  }

  @Test
  void a_sound_that_is_over_is_followed_by_silence_or_by_itself() {
    assertThat(played(SOUND, 1, false)).containsExactly(2, 3, 0, 0, 0);
    assertThat(played(SOUND, 7, false)).containsExactly(0, 0, 0, 0, 0);
    assertThat(played(SOUND, 1, true)).containsExactly(2, 3, 1, 2, 3);
    assertThat(played(SOUND, 3L * Integer.MAX_VALUE + 2, true)).containsExactly(3, 1, 2, 3, 1);
    assertThat(played(new short[0], 5, true)).as("nothing yet").containsOnly(0);
  }
}
