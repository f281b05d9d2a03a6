package oficina.server.tapes;

import java.time.Duration;
import java.time.Instant;
import oficina.core.sound.Pcm;
import oficina.server.keeping.KeptSound;
import oficina.server.sound.Tap;
import org.jspecify.annotations.Nullable;

/**
 * Writes what is recorded of one call for one employee, a second at a time. Given sound by the
 * engine's clock, told what happens by the exchange's thread.
 */
public final class TapeWriter implements Tap.Sink {
  public static final int CHANNELS = 2;

  private final TapeSpool spool;
  private final short[] chunk = new short[CHANNELS * KeptSound.CHUNK];
  private TapeLabel label;
  private int filled;
  private long samples;
  private long lost;
  private boolean over;
  private Mark.@Nullable Kind gap;
  private Instant gapSince;

  /**
   * @param samples of each channel that are there already
   */
  TapeWriter(TapeSpool spool, TapeLabel label, long samples, Instant now) {
    this.spool = spool;
    this.label = label;
    this.samples = samples;
    gapSince = now;
  }

  TapeLabel label() {
    return label;
  }

  /** Says anew whose it is. */
  void become(TapeLabel other) {
    label = other;
    spool.begin(other.place(), other);
  }

  @Override
  public synchronized void take(short[] ours, short[] theirs) {
    if (over) {
      return; // the engine learns of it a moment later
    }
    for (int i = 0; i < Pcm.FRAME; i++) {
      chunk[filled++] = ours[i];
      chunk[filled++] = theirs[i];
    }
    samples += Pcm.FRAME;
    if (filled == chunk.length) {
      write();
    }
  }

  private void write() {
    int each = filled / CHANNELS;
    if (!spool.append(label.place(), KeptSound.keep(chunk, filled))) {
      samples -= each;
      lost += each;
    } else {
      markLost(samples - each);
    }
    filled = 0;
  }

  private void markLost(long before) {
    if (lost > 0) {
      spool.mark(label.place(), new Mark(Mark.Kind.LOST, millis(before), millis(lost), ""));
      lost = 0;
    }
  }

  private synchronized long at() {
    return millis(samples);
  }

  private static long millis(long samples) {
    return samples * 1_000 / Pcm.RATE;
  }

  /** From now on nothing is recorded. */
  void pause(Mark.Kind why, Instant now) {
    if (gap == null) {
      gap = why;
      gapSince = now;
    }
  }

  /** It goes on; what was left out is marked. */
  void goOn(Instant now) {
    if (gap != null && at() > 0) {
      long lasted = Duration.between(gapSince, now).toMillis();
      spool.mark(label.place(), new Mark(gap, at(), lasted, ""));
    }
    gap = null;
  }

  void digits(String digits) {
    spool.mark(label.place(), new Mark(Mark.Kind.DIGITS, at(), 0, digits));
  }

  /** Nothing more comes. */
  synchronized void finish() {
    if (filled > 0) {
      write();
    }
    markLost(samples);
    over = true;
  }

  /** Nothing of it is kept. */
  synchronized void discard() {
    over = true;
    spool.remove(label.place());
  }
}
