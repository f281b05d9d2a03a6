package oficina.core.tones;

import oficina.core.sound.Pcm;

/** How much of one frequency is in sound, by Goertzel's algorithm. */
public final class Goertzel {
  private Goertzel() {}

  /**
   * The amplitude of a frequency, 0 to 1 of the largest sine wave.
   *
   * @param hertz below half the rate
   */
  public static double amplitude(short[] samples, int from, int count, double hertz) {
    double step = 2 * Math.cos(2 * Math.PI * hertz / Pcm.RATE);
    double last = 0;
    double beforeLast = 0;
    for (int i = from; i < from + count; i++) {
      double now = samples[i] + step * last - beforeLast;
      beforeLast = last;
      last = now;
    }
    double power = last * last + beforeLast * beforeLast - step * last * beforeLast;
    return 2 * Math.sqrt(Math.max(0, power)) / count / Short.MAX_VALUE;
  }

  /** How much of all sound in these samples is of one frequency, 0 to 1; 0 of silence. */
  public static double share(short[] samples, double hertz) {
    double squares = 0;
    for (short sample : samples) {
      squares += (double) sample * sample;
    }
    double amplitude = amplitude(samples, 0, samples.length, hertz) * Short.MAX_VALUE;
    return squares == 0 ? 0 : amplitude * amplitude / 2 * samples.length / squares;
  }
}
