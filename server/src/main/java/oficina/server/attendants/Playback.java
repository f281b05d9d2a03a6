package oficina.server.attendants;

import java.util.concurrent.CompletableFuture;
import oficina.core.sound.TimeStretch;

/** The message somebody listens to: how fast, and what of it they have not heard yet. */
final class Playback {
  /** As on screen. */
  private static final double[] SPEEDS = {0.75, 1, 1.25, 1.5, 2};

  private int speed = 1;
  private short[] message = {};
  private short[] left = {};
  private CompletableFuture<short[]> words = CompletableFuture.completedFuture(left);

  /** What is said of it, from its beginning. */
  CompletableFuture<short[]> begin(short[] sound) {
    message = sound;
    return from(sound);
  }

  /** What is being said of it, or was last. */
  CompletableFuture<short[]> words() {
    return words;
  }

  /** Whether it can be so much faster, or slower when it is less than none. */
  boolean canBe(int faster) {
    return speed + faster >= 0 && speed + faster < SPEEDS.length;
  }

  /**
   * What is said of it from where it is, at another speed.
   *
   * @param said samples of what was being said; less than none to begin anew
   */
  CompletableFuture<short[]> goOn(int faster, int said) {
    int heard = (int) Math.round(said * SPEEDS[speed]);
    speed += faster;
    return from(said < 0 ? message : TimeStretch.from(heard, left));
  }

  private CompletableFuture<short[]> from(short[] sound) {
    left = sound;
    words = CompletableFuture.completedFuture(TimeStretch.at(SPEEDS[speed], sound));
    return words;
  }
}
