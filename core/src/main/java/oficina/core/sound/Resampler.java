package oficina.core.sound;

/**
 * Turns samples of one rate into samples of another, block after block, by band-limited
 * interpolation: a Blackman-windowed sinc, one set of weights for each position between two
 * samples.
 */
public final class Resampler {
  /** Zero crossings of the sinc to each side, at the lower of the two rates. */
  private static final int REACH = 16;

  /** How much of the band is kept; the rest is where the filter falls off. */
  private static final double KEPT = 0.92;

  private final int up;
  private final int down;
  private final int taps;
  private final float[][] weights;
  private float[] line;
  private int filled;

  /** Where the next sample lies, in steps of 1/up of the input, from the start of the line. */
  private int position;

  /**
   * @param from samples a second of what comes
   * @param to samples a second of what is wanted
   */
  public Resampler(int from, int to) {
    int common = greatestDivisor(from, to);
    up = to / common;
    down = from / common;
    double band = Math.min(1, (double) to / from);
    taps = 2 * (int) Math.ceil(REACH / band);
    weights = new float[up][taps];
    for (int phase = 0; phase < up; phase++) {
      fill(weights[phase], (double) phase / up, band * KEPT);
    }
    line = new float[taps * 4];
    filled = taps - 1; // what came before is silence
  }

  private void fill(float[] row, double offset, double band) {
    double sum = 0;
    double[] exact = new double[taps];
    for (int k = 0; k < taps; k++) {
      double t = k - taps / 2.0 + 1 - offset;
      double window =
          0.42 + 0.5 * Math.cos(2 * Math.PI * t / taps) + 0.08 * Math.cos(4 * Math.PI * t / taps);
      double sinc = t == 0 ? 1 : Math.sin(Math.PI * band * t) / (Math.PI * band * t);
      exact[k] = sinc * window;
      sum += exact[k];
    }
    for (int k = 0; k < taps; k++) {
      row[k] = (float) (exact[k] / sum); // a constant stays what it is
    }
  }

  private static int greatestDivisor(int a, int b) {
    return b == 0 ? a : greatestDivisor(b, a % b);
  }

  /** How many samples {@code count} lead to at most. */
  public int most(int count) {
    return (int) ((long) count * up / down) + 2;
  }

  /**
   * Takes in samples and writes those that follow from them.
   *
   * @return how many were written
   */
  public int resample(short[] in, int count, short[] out) {
    if (line.length < filled + count) {
      line = java.util.Arrays.copyOf(line, filled + count);
    }
    for (int i = 0; i < count; i++) {
      line[filled++] = in[i];
    }
    int written = 0;
    int start = position / up;
    while (start + taps <= filled) {
      float[] row = weights[position % up];
      float sum = 0;
      for (int k = 0; k < taps; k++) {
        sum += row[k] * line[start + k];
      }
      out[written++] = Pcm.clip(sum);
      position += down;
      start = position / up;
    }
    int gone = Math.min(start, filled);
    System.arraycopy(line, gone, line, 0, filled - gone);
    filled -= gone;
    position -= gone * up;
    return written;
  }
}
