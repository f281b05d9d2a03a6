package oficina.server.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.TreeSet;
import java.util.concurrent.locks.LockSupport;
import oficina.core.sound.Level;
import oficina.core.sound.Pcm;
import oficina.core.tones.Goertzel;

/** An end of sound that speaks a tone of its own and remembers what it hears. */
final class Ear implements SoundEnd {
  /** Above the tones of telephony and the music, and whole periods in a frame. */
  static final List<Integer> VOICES = List.of(3_600, 4_300, 5_100, 5_900);

  private static final int KEPT = 8;
  private static final long PATIENCE_NANOS = 10_000_000_000L;

  private final int hertz;
  private final Deque<short[]> heard = new ArrayDeque<>();
  private volatile long spoken; // written by the sound alone
  private volatile boolean failing;

  Ear(int hertz) {
    this.hertz = hertz;
  }

  void fail(boolean now) {
    failing = now;
  }

  @Override
  public boolean speak(short[] frame) {
    if (failing) {
      throw new IllegalStateException("meant to fail");
    }
    long from = spoken;
    for (int i = 0; i < Pcm.FRAME; i++) {
      frame[i] = (short) (3_000 * Math.sin(2 * Math.PI * hertz * (from + i) / Pcm.RATE));
    }
    spoken = from + Pcm.FRAME;
    return true;
  }

  @Override
  public synchronized void hear(short[] frame) {
    heard.add(frame.clone());
    if (heard.size() > KEPT) {
      heard.remove();
    }
  }

  private synchronized List<short[]> lately() {
    return heard.size() < KEPT ? List.of() : List.copyOf(heard);
  }

  private synchronized void forget() {
    heard.clear();
  }

  private static boolean sounds(List<short[]> frames, int hertz) {
    return frames.stream().allMatch(f -> Goertzel.amplitude(f, 0, Pcm.FRAME, hertz) > 0.01);
  }

  private static TreeSet<Integer> voices(List<short[]> frames) {
    TreeSet<Integer> found = new TreeSet<>();
    for (int voice : VOICES) {
      if (frames.stream().anyMatch(f -> Goertzel.amplitude(f, 0, Pcm.FRAME, voice) > 0.003)) {
        found.add(voice);
      }
    }
    return found;
  }

  /** Waits until it has spoken so much more: on a busy machine that takes longer. */
  void speaks(long millis) {
    long end = spoken + millis * Pcm.RATE / 1_000;
    long until = System.nanoTime() + PATIENCE_NANOS + millis * 1_000_000;
    while (spoken < end && System.nanoTime() < until) {
      LockSupport.parkNanos(5_000_000);
    }
  }

  /** Waits until exactly these voices are heard here, each of them without a gap. */
  void hears(Integer... wanted) {
    TreeSet<Integer> expected = new TreeSet<>(Arrays.asList(wanted));
    long until = System.nanoTime() + PATIENCE_NANOS;
    forget();
    List<short[]> frames = List.of();
    while (System.nanoTime() < until) {
      frames = lately();
      List<short[]> now = frames;
      if (!now.isEmpty()
          && voices(now).equals(expected)
          && expected.stream().allMatch(voice -> sounds(now, voice))) {
        return;
      }
      LockSupport.parkNanos(5_000_000);
    }
    assertThat(voices(frames)).isEqualTo(expected);
  }

  /** Waits until there is sound here, but nobody's voice. */
  void hearsMusic() {
    hears();
    hearsSomething();
    assertThat(voices(lately())).isEmpty();
  }

  /** Waits until there is sound here, whatever it is. */
  void hearsSomething() {
    long until = System.nanoTime() + PATIENCE_NANOS;
    while (lately().stream().noneMatch(f -> Level.of(f) < 50)) {
      assertThat(System.nanoTime()).as("nothing is heard").isLessThan(until);
      LockSupport.parkNanos(5_000_000);
    }
  }

  /** Waits until one frame has all these frequencies. */
  void hearsTone(int... hertzOfTone) {
    long until = System.nanoTime() + PATIENCE_NANOS;
    while (lately().stream()
        .noneMatch(
            f ->
                Arrays.stream(hertzOfTone)
                    .allMatch(h -> Goertzel.amplitude(f, 0, Pcm.FRAME, h) > 0.02))) {
      assertThat(System.nanoTime()).as("the tone is not heard").isLessThan(until);
      LockSupport.parkNanos(5_000_000);
    }
  }
}
