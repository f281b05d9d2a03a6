package oficina.core.handset;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import oficina.core.tones.Cadence;
import org.jspecify.annotations.Nullable;

/**
 * Everything that is to be seen and heard of a telephone at a moment.
 *
 * @param holder whose telephone it is now
 * @param display at most {@link #LINES} lines
 * @param soft what the keys beneath the display do now
 * @param keys what the keys with a lamp stand for, and their lamps
 */
public record Panel(
    Holder holder, List<Line> display, List<SoftKey> soft, List<LineKey> keys, Sounds sounds) {
  public static final int LINES = 6;
  public static final int SOFT_KEYS = 6;
  public static final int LINE_KEYS = 12;

  public Panel {
    display = List.copyOf(display);
    soft = List.copyOf(soft);
    keys = List.copyOf(keys);
  }

  /**
   * Whose telephone it is now.
   *
   * @param lentUntil when it is given back by itself; null when it is nobody else's, or until they
   *     leave
   * @param fresh new messages in their mailbox (message-summary of RFC 3842)
   * @param old messages that have been heard
   */
  public record Holder(
      String name,
      String extension,
      boolean lent,
      @Nullable Instant lentUntil,
      int fresh,
      int old) {}

  /**
   * A line of the display.
   *
   * @param code what it says; the telephone has a sentence for it
   * @param about what the sentence speaks of
   * @param since from when a running time is shown; null for none
   * @param chosen whether the keys mean it
   */
  public record Line(
      String code, Map<String, String> about, @Nullable Instant since, boolean chosen) {
    public Line {
      about = Map.copyOf(about);
    }

    static Line of(String code, Map<String, String> about) {
      return new Line(code, about, null, false);
    }

    static Line of(String code) {
      return of(code, Map.of());
    }
  }

  /** How a lamp burns. */
  public enum Light {
    /** Nobody is there, or nothing is assigned. */
    DARK,
    /** Free. */
    FREE,
    /** In use. */
    STEADY,
    /** It rings. */
    FLASHING,
    /** Somebody waits there: held, or in a slot. */
    WAITING,
    /** Not to be disturbed, or off duty. */
    CLOSED
  }

  /**
   * @param label a name or number; empty for one's own line, or where nothing is assigned
   * @param number what is dialled by it; null where nothing is assigned, empty for one's own line
   */
  public record LineKey(String label, @Nullable String number, Light light) {}

  /** What one speaks and hears through. */
  public enum Path {
    /** Nothing: the telephone is quiet. */
    NONE,
    HANDSET,
    SPEAKER,
    HEADSET
  }

  /** How it rings. */
  public enum Ring {
    NOT,
    INSIDE,
    OUTSIDE,
    /** Softly, beside a call. */
    BESIDE
  }

  /**
   * What is heard.
   *
   * @param lifted whether the handset is off the hook
   * @param talking whether the microphone is wanted
   * @param tone what the telephone sounds itself; null for nothing
   */
  public record Sounds(
      Path path,
      boolean lifted,
      boolean talking,
      boolean muted,
      Ring ring,
      @Nullable Cadence tone) {}
}
