package oficina.core.sound;

/**
 * Puts packets back into their order and evens out how unevenly they come: one that comes each 20
 * ms on average is given out each 20 ms exactly, as late as needed and no later. How late is learnt
 * from how late packets come, forgetting slowly.
 *
 * <p>Of one sender of frames of 20 ms. Not safe for several threads.
 */
public final class JitterBuffer {
  /** What there is to play. */
  public enum Taken {
    /** A frame. */
    FRAME,
    /** One that was lost or is late: it is to be made up. */
    MISSING,
    /** Nobody sends. */
    NOTHING
  }

  private static final int SLOTS = 64;
  private static final int LARGEST = 1_500;

  /** More delay than this helps nobody to talk. */
  private static final int MOST_DELAY = 12;

  /** So many frames made up in a row, and the sender counts as silent. */
  private static final int MOST_MADE_UP = 10;

  /** The share of packets that are to be in time. */
  private static final double IN_TIME = 0.97;

  /** What one packet changes in what is known of their delays. */
  private static final double FORGETTING = 0.995;

  /**
   * How many frames too many, added up over the frames that are taken, until one is left out: a
   * second of one too many, a few frames of many. So whoever was late after a standstill is not so
   * for long.
   */
  private static final int PATIENCE = 50;

  /**
   * Packets among which the fastest one is looked for, and as many before them. A sender who has
   * paused without saying so is later than ever, and that is soon what is usual.
   */
  private static final int WINDOW = 250;

  private final byte[][] slots = new byte[SLOTS][LARGEST];
  private final int[] lengths = new int[SLOTS];
  private final double[] delays = new double[MOST_DELAY + 1];

  private boolean begun;
  private boolean playing;
  private long next;
  private long highest;
  private long firstArrival;
  private long firstNumber;
  private double fastestBefore;
  private double fastestNow;
  private int inWindow;
  private int madeUp;
  private int surplus;
  private long lost;
  private int taken;

  /** How many frames were made up because their packets never came or came too late. */
  public long lost() {
    return lost;
  }

  /** How many frames wait. */
  public int depth() {
    return begun ? (int) Math.max(0, highest - next + 1) : 0;
  }

  /** For how many frames sound is kept back now, so that late packets are in time. */
  public int delay() {
    double sum = 0;
    for (int frames = 0; frames < MOST_DELAY; frames++) {
      sum += delays[frames];
      if (sum >= IN_TIME) {
        return frames;
      }
    }
    return MOST_DELAY;
  }

  /**
   * Takes in a packet.
   *
   * @param number its sequence number, 16 bits
   * @param atMillis when it came, by any clock that goes on evenly
   */
  public void put(int number, byte[] packet, int from, int length, long atMillis) {
    if (length > LARGEST) {
      return;
    }
    long sequence = begun ? extended(number) : number;
    if (!begun || sequence - highest > SLOTS / 2 || next - sequence > SLOTS) {
      begin(number, atMillis);
      sequence = number;
    }
    learn(sequence, atMillis);
    if (sequence < next) {
      return; // too late to be played
    }
    highest = Math.max(highest, sequence);
    if (highest - next >= SLOTS) {
      next = highest - SLOTS / 2; // far too much waits: nobody has taken any
    }
    int slot = slot(sequence);
    System.arraycopy(packet, from, slots[slot], 0, length);
    lengths[slot] = length;
  }

  private void begin(int number, long atMillis) {
    java.util.Arrays.fill(lengths, 0);
    begun = true;
    playing = false;
    next = number;
    highest = number - 1L;
    firstArrival = atMillis;
    firstNumber = number;
    fastestBefore = 0;
    fastestNow = 0;
    inWindow = 0;
    madeUp = 0;
    if (delays[0] == 0) {
      delays[0] = 1; // no delay until one is seen
    }
  }

  /** The whole number of which these are the lower 16 bits, next to the highest known. */
  private long extended(int number) {
    long near = (highest & ~0xFFFFL) | number;
    if (near - highest > 0x8000) {
      return near - 0x10000;
    }
    return highest - near > 0x8000 ? near + 0x10000 : near;
  }

  private void learn(long sequence, long atMillis) {
    double behind = atMillis - firstArrival - (sequence - firstNumber) * (double) Pcm.FRAME_MS;
    double before = fastest();
    if (inWindow++ == WINDOW) {
      inWindow = 0;
      fastestBefore = fastestNow;
      fastestNow = behind;
    }
    fastestNow = Math.min(behind, fastestNow);
    allWereEarlierBy((int) ((fastest() - before) / Pcm.FRAME_MS));
    int frames = (int) Math.min(MOST_DELAY, (behind - fastest()) / Pcm.FRAME_MS + 0.5);
    for (int i = 0; i < delays.length; i++) {
      delays[i] *= FORGETTING;
    }
    delays[frames] += 1 - FORGETTING;
  }

  /** How far behind the fastest packet was, of all that count. */
  private double fastest() {
    return Math.min(fastestBefore, fastestNow);
  }

  /** What was thought late by so many frames was not, as is known now. */
  private void allWereEarlierBy(int frames) {
    for (int i = 1; frames > 0 && i < delays.length; i++) {
      double share = delays[i];
      delays[i] = 0;
      delays[Math.max(0, i - frames)] += share;
    }
  }

  private static int slot(long sequence) {
    return (int) (sequence & SLOTS - 1);
  }

  /** Takes the next frame out. Its bytes are in {@code into}, and {@link #length} says how many. */
  public Taken take(byte[] into) {
    if (!begun) {
      return Taken.NOTHING;
    }
    int depth = depth();
    if (!playing) {
      if (depth <= delay()) {
        return Taken.NOTHING;
      }
      playing = true;
    }
    leaveOneOutIfTooMany(depth);
    int slot = slot(next);
    if (next <= highest && lengths[slot] > 0) {
      taken = lengths[slot];
      System.arraycopy(slots[slot], 0, into, 0, taken);
      lengths[slot] = 0;
      next++;
      madeUp = 0;
      return Taken.FRAME;
    }
    if (++madeUp > MOST_MADE_UP) {
      begun = false; // whoever goes on sending begins anew
      return Taken.NOTHING;
    }
    lost++;
    if (next <= highest) {
      next++; // it will not come any more; with nothing behind it, it may only be late
    }
    return Taken.MISSING;
  }

  private void leaveOneOutIfTooMany(int depth) {
    int tooMany = depth - delay() - 1;
    surplus = tooMany > 0 ? surplus + tooMany : 0;
    if (surplus > PATIENCE) {
      lengths[slot(next)] = 0;
      next++;
      surplus = 0;
    }
  }

  /** How many bytes the frame has that was taken last. */
  public int length() {
    return taken;
  }
}
