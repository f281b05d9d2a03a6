package oficina.server.standins;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import oficina.core.sound.Level;
import oficina.core.sound.Pcm;
import oficina.core.sound.SpeechDetector;
import oficina.core.tones.Goertzel;
import oficina.server.sound.SoundEnd;
import org.jspecify.annotations.Nullable;

/**
 * A voice with lines of its own, as polite people have it: it says one, listens while somebody
 * speaks to it, and goes on when they have stopped, or when nobody says anything for long. When a
 * machine sounds its tone, it says what it has to say and is done.
 *
 * <p>Asked by the engine's threads, one at a time; what it is to say may be changed from elsewhere.
 */
final class ScriptedVoice implements SoundEnd {
  private static final int FRAMES_A_SECOND = 1000 / Pcm.FRAME_MS;

  /** Whoever answers takes a breath; whoever has called lets the other speak first. */
  private static final int BREATH = FRAMES_A_SECOND / 2;

  private static final int LET_OTHER_SPEAK = 2 * FRAMES_A_SECOND;
  private static final int STOPPED_SPEAKING = FRAMES_A_SECOND * 3 / 5;
  private static final int LONG_SILENCE = 6 * FRAMES_A_SECOND;

  private static final int TONE_HERTZ = 1_000;
  private static final int A_TONE = FRAMES_A_SECOND / 4;

  /** Of a tone alone, Goertzel's filter has nearly all of the sound. */
  private static final double NEARLY_ALL = 0.8;

  /** What there is to say to a machine, and what happens when that is said. */
  record ToMachine(List<CompletableFuture<short[]>> lines, Runnable done) {}

  private final SpeechDetector other = new SpeechDetector();
  private final @Nullable ToMachine toMachine;
  private int toneFrames;
  private boolean atMachine;
  private boolean done;
  private volatile List<CompletableFuture<short[]>> lines;
  private volatile boolean anew;
  private int line;
  private int at;
  private int quiet;
  private int wait;
  private boolean heardSomebody;

  /**
   * @param toMachine null for somebody who speaks to machines as to everybody
   */
  ScriptedVoice(
      List<CompletableFuture<short[]>> lines,
      boolean letsOtherSpeakFirst,
      @Nullable ToMachine toMachine) {
    this.lines = lines;
    this.toMachine = toMachine;
    this.wait = letsOtherSpeakFirst ? LET_OTHER_SPEAK : BREATH;
  }

  /** Says this instead, at once. */
  void say(List<CompletableFuture<short[]>> others) {
    lines = others;
    anew = true;
  }

  @Override
  public boolean speak(short[] frame) {
    List<CompletableFuture<short[]>> now = lines;
    if (anew) {
      anew = false;
      line = 0;
      at = 0;
      quiet = 0;
      wait = 0;
    }
    if (wait > 0 || now.isEmpty() || done) {
      return false;
    }
    short[] words = now.get(line % now.size()).getNow(null);
    if (words == null) {
      return false; // still being made
    }
    int count = Math.min(Pcm.FRAME, words.length - at);
    for (int i = 0; i < Pcm.FRAME; i++) {
      frame[i] = i < count ? words[at + i] : 0;
    }
    at += count;
    if (at >= words.length) {
      line++;
      at = 0;
      quiet = 0;
      heardSomebody = false;
      wait = LONG_SILENCE;
      if (atMachine && line >= now.size()) {
        done = true;
        toMachine.done().run();
      }
    }
    return true;
  }

  /** Only what is heard makes time pass: nobody speaks into a line that is not through yet. */
  @Override
  public void hear(short[] frame) {
    if (toMachine != null && !atMachine && heardTone(frame)) {
      atMachine = true;
      say(toMachine.lines());
    }
    boolean speaks = other.speaks(Level.of(frame));
    heardSomebody |= speaks;
    quiet = speaks ? 0 : quiet + 1;
    boolean greets = line == 0; // whatever is heard, somebody who picks up says who they are
    if (wait > 0 && (greets || !speaks)) {
      wait = heardSomebody && quiet >= STOPPED_SPEAKING ? 0 : wait - 1;
    }
  }

  /** Whether a machine's tone has just ended. */
  private boolean heardTone(short[] frame) {
    boolean tone = Goertzel.share(frame, TONE_HERTZ) > NEARLY_ALL;
    boolean ended = !tone && toneFrames >= A_TONE;
    toneFrames = tone ? toneFrames + 1 : 0;
    return ended;
  }
}
