package oficina.server.machines;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import oficina.core.sound.Pcm;
import oficina.server.sound.SoundEnd;

/** Says one thing after the other, until something else is to be said; and can listen. */
public final class SpeakingEnd implements SoundEnd {
  /** A greeting is no longer; what is said after that is not kept. */
  private static final int MOST_FRAMES = 60 * 1000 / Pcm.FRAME_MS;

  private final Deque<CompletableFuture<short[]>> toSay = new ArrayDeque<>();
  private final List<short[]> heard = new ArrayList<>();
  private Runnable whenSaid = () -> {};
  private boolean listening;
  private int said;

  /**
   * Says these instead of whatever is being said.
   *
   * @param then done when all of it has been said
   */
  public synchronized void say(List<CompletableFuture<short[]>> words, Runnable then) {
    toSay.clear();
    toSay.addAll(words);
    said = 0;
    whenSaid = then;
  }

  /** How many samples of these words have been said by now; -1 when they are not to be said. */
  public synchronized int saidOf(CompletableFuture<short[]> words) {
    return toSay.peek() == words ? said : toSay.contains(words) ? 0 : -1;
  }

  /** Keeps what is heard from now on. */
  public synchronized void listen() {
    heard.clear();
    listening = true;
  }

  /** What was heard since. */
  public synchronized short[] listened() {
    listening = false;
    short[] all = new short[heard.size() * Pcm.FRAME];
    for (int i = 0; i < heard.size(); i++) {
      System.arraycopy(heard.get(i), 0, all, i * Pcm.FRAME, Pcm.FRAME);
    }
    heard.clear();
    return all;
  }

  @Override
  public synchronized boolean speak(short[] frame) {
    CompletableFuture<short[]> next = toSay.peek();
    short[] words = next == null ? null : next.getNow(null);
    if (words == null) {
      return false;
    }
    for (int i = 0; i < Pcm.FRAME; i++) {
      frame[i] = said + i < words.length ? words[said + i] : 0;
    }
    said += Pcm.FRAME;
    if (said >= words.length) {
      toSay.remove();
      said = 0;
      if (toSay.isEmpty()) {
        whenSaid.run();
      }
    }
    return true;
  }

  @Override
  public synchronized void hear(short[] frame) {
    if (listening && heard.size() < MOST_FRAMES) {
      heard.add(frame.clone());
    }
  }
}
