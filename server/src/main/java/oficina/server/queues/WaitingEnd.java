package oficina.server.queues;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import oficina.core.numbers.Region;
import oficina.core.tones.Tones;
import oficina.server.machines.SpeakingEnd;
import oficina.server.sound.Music;
import oficina.server.sound.SoundEnd;

/** Plays the ringing tone, then music, and words instead of it while there are any. */
final class WaitingEnd implements SoundEnd {
  private final SpeakingEnd words = new SpeakingEnd();
  private final Music music;
  private final short[] ringing;
  private volatile boolean waits;
  private long frame;

  WaitingEnd(Music music, Region region) {
    this.music = music;
    ringing = Tones.in(region.code()).ringing().round();
  }

  /** From now on it is music. */
  void music() {
    waits = true;
  }

  /**
   * Says these instead of whatever is being said.
   *
   * @param then done when all of it has been said
   */
  void say(List<CompletableFuture<short[]>> what, Runnable then) {
    words.say(what, then);
  }

  @Override
  public boolean speak(short[] out) {
    if (words.speak(out)) {
      return true;
    }
    if (waits) {
      music.write(frame++, out);
    } else {
      for (int i = 0; i < out.length; i++) {
        out[i] = ringing[(int) ((frame * out.length + i) % ringing.length)];
      }
      frame++;
    }
    return true;
  }

  @Override
  public void hear(short[] heard) {
    // nobody listens
  }
}
