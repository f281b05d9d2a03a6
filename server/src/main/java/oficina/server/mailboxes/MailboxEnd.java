package oficina.server.mailboxes;

import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import oficina.core.sound.Level;
import oficina.core.sound.Pcm;
import oficina.core.sound.SpeechDetector;
import oficina.core.tones.Tones;
import oficina.server.keeping.KeptSound;
import oficina.server.sound.SoundEnd;

/**
 * A mailbox at the end of a call: it speaks its greeting, sounds a tone, and then listens. Asked by
 * the engine's threads, told how far the call is by the exchange's.
 */
final class MailboxEnd implements SoundEnd {
  private static final int FRAMES_A_SECOND = 1000 / Pcm.FRAME_MS;
  private static final int A_MESSAGE = FRAMES_A_SECOND;
  private static final int NOTHING_MORE = 8 * FRAMES_A_SECOND;
  private static final short[] TONE = Tones.SPEAK_NOW.round();

  /** What a mailbox reports of itself. */
  interface Reports {
    void greetingOver();

    void sounds();

    void silent();
  }

  private enum Stage {
    GREETS,
    SOUNDS_TONE,
    LISTENS,
    OVER
  }

  private final CompletableFuture<short[]> greeting;
  private final Reports reports;
  private final Consumer<byte[]> keep;
  private final SpeechDetector detector = new SpeechDetector();
  private final short[] chunk = new short[KeptSound.CHUNK];
  private Stage stage = Stage.GREETS;
  private boolean greeted;
  private int said;
  private int filled;
  private int spoken;
  private int quiet;

  /**
   * @param greeting spoken first, as soon as it is there
   * @param keep takes what is recorded, a second at a time
   */
  MailboxEnd(CompletableFuture<short[]> greeting, Reports reports, Consumer<byte[]> keep) {
    this.greeting = greeting;
    this.reports = reports;
    this.keep = keep;
  }

  /** The greeting is over. */
  synchronized void record() {
    stage = Stage.SOUNDS_TONE;
    said = 0;
  }

  /** It has recorded before the server was started anew: no tone again. */
  synchronized void goOnRecording() {
    stage = Stage.LISTENS;
  }

  /** Nothing more is recorded. */
  synchronized void finish() {
    if (filled > 0) {
      keep.accept(KeptSound.keep(chunk, filled));
      filled = 0;
    }
    stage = Stage.OVER;
  }

  @Override
  public synchronized boolean speak(short[] frame) {
    return switch (stage) {
      case GREETS -> greet(frame);
      case SOUNDS_TONE -> {
        if (say(TONE, frame)) {
          stage = Stage.LISTENS;
        }
        yield true;
      }
      case LISTENS, OVER -> false;
    };
  }

  private boolean greet(short[] frame) {
    short[] words = greeting.getNow(null);
    if (words == null || greeted) {
      return false;
    }
    if (say(words, frame)) {
      greeted = true;
      reports.greetingOver();
    }
    return true;
  }

  /** Says the next 20 ms of this, and tells whether that was all of it. */
  private boolean say(short[] words, short[] frame) {
    for (int i = 0; i < Pcm.FRAME; i++) {
      frame[i] = said + i < words.length ? words[said + i] : 0;
    }
    said += Pcm.FRAME;
    return said >= words.length;
  }

  @Override
  public synchronized void hear(short[] frame) {
    if (stage != Stage.LISTENS) {
      return;
    }
    System.arraycopy(frame, 0, chunk, filled, Pcm.FRAME);
    filled += Pcm.FRAME;
    if (filled == chunk.length) {
      keep.accept(KeptSound.keep(chunk, filled));
      filled = 0;
    }
    if (detector.speaks(Level.of(frame))) {
      quiet = 0;
      if (++spoken == A_MESSAGE) {
        reports.sounds();
      }
    } else if (++quiet == NOTHING_MORE) {
      reports.silent();
    }
  }
}
