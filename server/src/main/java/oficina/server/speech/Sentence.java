package oficina.server.speech;

import java.util.concurrent.CompletableFuture;

/**
 * A sentence that is said again and again: kept once it has been spoken, and until then tried anew
 * each time it is wanted.
 */
public final class Sentence {
  private final Speaker speaker;
  private final String text;
  private CompletableFuture<short[]> spoken;

  public Sentence(Speaker speaker, String text) {
    this.speaker = speaker;
    this.text = text;
    this.spoken = speaker.say(Speaker.Voice.ALDER, text);
  }

  /** The sentence as soon as it is spoken; no samples when it cannot be spoken now. */
  public synchronized CompletableFuture<short[]> spoken() {
    if (spoken.isDone() && isMissing()) {
      spoken = speaker.say(Speaker.Voice.ALDER, text);
    }
    return spoken;
  }

  private boolean isMissing() {
    return spoken.isCompletedExceptionally() || spoken.join().length == 0;
  }
}
