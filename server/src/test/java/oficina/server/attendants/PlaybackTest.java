package oficina.server.attendants;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import oficina.core.sound.Pcm;
import org.junit.jupiter.api.Test;

class PlaybackTest {
  private static final short[] MESSAGE = new short[10 * Pcm.RATE];

  private final Playback playback = new Playback();

  private double seconds() {
    return (double) playback.words().join().length / Pcm.RATE;
  }

  @Test
  void goes_on_from_where_it_is_at_each_speed_and_begins_anew_when_it_is_over() {
    playback.begin(MESSAGE);
    assertThat(seconds()).isEqualTo(10);
    playback.goOn(1, 5 * Pcm.RATE);
    assertThat(seconds()).as("5 s left, at 1.25").isEqualTo(4);
    playback.goOn(1, 2 * Pcm.RATE);
    assertThat(seconds()).as("2.5 s left, at 1.5").isCloseTo(2.5 / 1.5, within(0.001));
    playback.goOn(-1, -1);
    assertThat(seconds()).as("all of it, at 1.25").isEqualTo(8);
    playback.begin(MESSAGE);
    assertThat(seconds()).as("the next message, as fast").isEqualTo(8);
  }

  @Test
  void is_neither_slower_than_the_slowest_nor_faster_than_the_fastest() {
    assertThat(playback.canBe(-1)).isTrue();
    playback.goOn(-1, 0);
    assertThat(playback.canBe(-1)).isFalse();
    for (int i = 0; i < 4; i++) {
      assertThat(playback.canBe(1)).isTrue();
      playback.goOn(1, 0);
    }
    assertThat(playback.canBe(1)).isFalse();
  }
}
