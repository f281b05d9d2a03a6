package oficina.server.sound;

import oficina.core.sound.Level;
import oficina.core.sound.Pcm;
import oficina.core.sound.SpeechDetector;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** An end as the engine sees it: its frames of this tick. Touched by the engine's threads alone. */
final class Port {
  private static final Logger LOG = LoggerFactory.getLogger(Port.class);
  private static final short[] SILENCE = new short[Pcm.FRAME];

  final EndId id;
  final SoundEnd end;
  private final short[] spoken = new short[Pcm.FRAME];
  private final short[] heard = new short[Pcm.FRAME];
  private final SpeechDetector detector = new SpeechDetector();
  private boolean speaks;
  private boolean voice;
  private long heardAt = -1;
  private long inCallAt = -1;
  private volatile boolean failed;

  Port(EndId id, SoundEnd end) {
    this.id = id;
    this.end = end;
  }

  /** Takes in what is spoken here. */
  void takeIn() {
    if (failed) {
      return;
    }
    try {
      speaks = end.speak(spoken);
    } catch (RuntimeException e) {
      fail(e);
    }
    voice = detector.speaks(speaks ? Level.of(spoken) : Level.SILENCE);
  }

  /** Gives out what is heard here. */
  void giveOut(long tick) {
    if (failed) {
      return;
    }
    try {
      if (heardAt == tick) {
        end.hear(heard);
      } else if (inCallAt == tick) {
        end.hear(SILENCE);
      } else {
        end.idle();
      }
    } catch (RuntimeException e) {
      fail(e);
    }
  }

  private void fail(RuntimeException e) {
    failed = true;
    speaks = false;
    LOG.error("The sound of {} has failed; its call goes on", id, e);
  }

  boolean speaks() {
    return speaks;
  }

  short[] spoken() {
    return spoken;
  }

  /** Whether somebody's voice is heard here, and not only noise. */
  boolean voice() {
    return voice;
  }

  void inCall(long tick) {
    inCallAt = tick;
  }

  void hears(short[] frame, long tick) {
    System.arraycopy(frame, 0, heard, 0, Pcm.FRAME);
    heardAt = tick;
  }
}
