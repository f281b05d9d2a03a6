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

  /** Who waits for it. */
  enum For {
    /** Somebody in a call: nothing of the other kind is waited for. */
    CALL,
    /** Somebody who wants to hear beforehand how it sounds. */
    PREVIEW
  }

  /**
   * Speaks a text, in another thread.
   *
   * @return samples as in {@link oficina.core.sound.Pcm}; none when it cannot be spoken now, which
   *     may be different the next time
   */
  CompletableFuture<short[]> say(Voice voice, String text, For whom);

  /** Speaks a text for somebody in a call. */
  default CompletableFuture<short[]> say(Voice voice, String text) {
    return say(voice, text, For.CALL);
  }
}
