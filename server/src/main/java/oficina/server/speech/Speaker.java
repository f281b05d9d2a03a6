package oficina.server.speech;

import java.util.concurrent.CompletableFuture;

/** Turns text into speech. */
public interface Speaker {

  /** Voices to tell people apart by. */
  enum Voice {
    ALDER,
    BIRCH,
    CEDAR,
    DAMSON;

    /** Always the same voice for the same name. */
    public static Voice of(String name) {
      return values()[Math.floorMod(name.hashCode(), values().length)];
    }
  }

  /**
   * Speaks a text, in another thread.
   *
   * @return samples as in {@link oficina.core.sound.Pcm}; none when it cannot be spoken
   */
  CompletableFuture<short[]> say(Voice voice, String text);
}
