package oficina.server.queues;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import oficina.core.numbers.Region;
import oficina.core.people.GroupId;
import oficina.core.sound.Pcm;
import oficina.core.tones.Tones;
import oficina.server.machines.SpeakingEnd;
import oficina.server.sound.Music;
import oficina.server.sound.SoundEnd;

/** Is silent, plays the ringing tone or music, and words instead of it while there are any. */
final class WaitingEnd implements SoundEnd {
  /** What is played between the words. */
  enum Between {
    SILENCE,
    RINGING,
    MUSIC
  }

  private final SpeakingEnd words = new SpeakingEnd();
  private final Music music;
  private final GroupId line;
  private final short[] ringing;
  private volatile Between between = Between.RINGING;
  private long frame;

  WaitingEnd(Music music, GroupId line, Region region) {
    this.line = line;
    this.music = music;
    ringing = Tones.in(region.code()).ringing().round();
  }

  /** From now on it is this. */
  void between(Between now) {
    between = now;
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
    switch (between) {
      case SILENCE -> {
        return false;
      }
      case MUSIC -> music.write(line, frame++, out);
      case RINGING -> Pcm.play(ringing, frame++ * out.length, /* again= */ true, out);
    }
    return true;
  }

  @Override
  public void hear(short[] heard) {
    // nobody listens
  }
}
