package oficina.core.tones;

import org.jspecify.annotations.Nullable;

/**
 * Keys that come as named telephone events among the packets of sound (RFC 4733, section 2). Each
 * is reported again and again as long as it is held down, and its end three times, so that lost
 * packets do no harm; it counts once, at the first of them that arrives.
 *
 * <p>Not for several threads at once.
 */
public final class TelephoneEvents {
  private static final String KEYS = "0123456789*#ABCD";
  private static final int LENGTH = 4;
  private static final int END = 0x80;

  private boolean any;
  private boolean ended;
  private int last;
  private int lastTimestamp;
  private int lastDuration;

  /**
   * Takes in a packet.
   *
   * @param packet the payload, from {@code from}
   * @param length of the payload, in bytes
   * @param timestamp of the packet, which is when the key went down
   * @return the key, if one has just been pressed: 0 to 9, star, number sign or A to D
   */
  public @Nullable Character take(byte[] packet, int from, int length, int timestamp) {
    if (length < LENGTH) {
      return null;
    }
    int event = packet[from] & 0xFF;
    boolean end = (packet[from + 1] & END) != 0;
    int duration = (packet[from + 2] & 0xFF) << 8 | packet[from + 3] & 0xFF;
    boolean late = any && timestamp - lastTimestamp < 0;
    if (late || event >= KEYS.length()) {
      return null;
    }
    // A key that is held down for very long is told in segments, each where the last one ends.
    boolean goesOn = any && !ended && event == last && timestamp == lastTimestamp + lastDuration;
    boolean again = any && timestamp == lastTimestamp;
    any = true;
    ended = end || again && ended;
    last = event;
    lastTimestamp = timestamp;
    lastDuration = duration;
    return again || goesOn ? null : KEYS.charAt(event);
  }
}
