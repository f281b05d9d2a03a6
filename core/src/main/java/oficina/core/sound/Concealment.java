package oficina.core.sound;

/**
 * Makes up for lost frames of a codec that cannot do so itself, after the idea of ITU-T G.711
 * appendix I: the last period of the voice goes on, and fades out within 60 ms.
 */
public final class Concealment {
  /** Voices between 67 and 400 Hz. */
  private static final int SHORTEST = Pcm.RATE / 400;

  private static final int LONGEST = Pcm.RATE / 67;
  private static final int FADE_FRAMES = 3;

  /** How long the sound that comes again is blended with what was made up. */
  private static final int BLEND = Pcm.RATE * 5 / 1000;

  private final short[] past = new short[3 * Pcm.FRAME];
  private int madeUp;
  private int period;
  private int at;

  /**
   * Takes in a frame that has come; its beginning is blended in when frames before it were lost.
   */
  public void came(short[] frame) {
    if (madeUp > 0) {
      for (int i = 0; i < BLEND; i++) {
        double share = (i + 1.0) / BLEND;
        frame[i] = (short) (frame[i] * share + goOn() * (1 - share));
      }
      madeUp = 0;
    }
    System.arraycopy(past, Pcm.FRAME, past, 0, past.length - Pcm.FRAME);
    System.arraycopy(frame, 0, past, past.length - Pcm.FRAME, Pcm.FRAME);
  }

  /** Writes a frame in place of a lost one. */
  public void lost(short[] frame) {
    if (madeUp == 0) {
      period = period();
      at = 0;
    }
    madeUp++;
    for (int i = 0; i < Pcm.FRAME; i++) {
      frame[i] = goOn();
    }
  }

  private short goOn() {
    int sample = past[past.length - period + at % period];
    double gone = (double) at++ / (FADE_FRAMES * Pcm.FRAME);
    return (short) (sample * Math.max(0, 1 - gone));
  }

  /** The distance at which the end of what was heard is most like itself. */
  private int period() {
    int best = LONGEST;
    double most = 0;
    int window = LONGEST;
    int end = past.length - window;
    for (int lag = SHORTEST; lag <= LONGEST; lag++) {
      double product = 0;
      double power = 1;
      for (int i = 0; i < window; i += 2) {
        int then = past[end + i - lag];
        product += (double) past[end + i] * then;
        power += (double) then * then;
      }
      double likeness = product / Math.sqrt(power);
      if (likeness > most) {
        most = likeness;
        best = lag;
      }
    }
    return best;
  }
}
