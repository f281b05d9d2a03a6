package oficina.core.sound;

import java.util.Random;
import oficina.core.tones.Goertzel;

/** Sound to compute with. */
final class Sounds {
  private Sounds() {}

  static short[] sine(double hertz, double amplitude, int rate, int count) {
    short[] samples = new short[count];
    for (int i = 0; i < count; i++) {
      samples[i] =
          (short)
              Math.round(amplitude * Short.MAX_VALUE * Math.sin(2 * Math.PI * hertz * i / rate));
    }
    return samples;
  }

  static short[] noise(long seed, int amplitude, int count) {
    Random random = new Random(seed);
    short[] samples = new short[count];
    for (int i = 0; i < count; i++) {
      samples[i] = (short) (random.nextInt(2 * amplitude + 1) - amplitude);
    }
    return samples;
  }

  /** How much larger the wanted sound is than what differs from it, in decibels. */
  static double signalToNoise(short[] wanted, short[] got, int from, int to) {
    double signal = 0;
    double noise = 1e-9;
    for (int i = from; i < to; i++) {
      signal += (double) wanted[i] * wanted[i];
      noise += Math.pow(wanted[i] - got[i], 2);
    }
    return 10 * Math.log10(signal / noise);
  }

  static double amplitude(short[] samples, double hertz) {
    return Goertzel.amplitude(samples, 0, samples.length, hertz);
  }
}
