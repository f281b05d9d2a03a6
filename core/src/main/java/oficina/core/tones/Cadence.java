package oficina.core.tones;

import java.util.Arrays;
import java.util.List;
import oficina.core.sound.Pcm;

/** A tone that comes and goes in a rhythm, as ITU-T E.180 describes the tones of telephony. */
public record Cadence(List<Step> steps) {
  /** So loud that it is heard and startles nobody: some 18 dB below overload. */
  private static final double AMPLITUDE = 4_000;

  /** A step begins and ends over so long, so that it does not click. */
  private static final int RAMP = Pcm.RATE * 4 / 1000;

  public Cadence {
    steps = List.copyOf(steps);
  }

  /**
   * One stretch of it.
   *
   * @param hertz frequencies that sound together; none for a pause
   */
  public record Step(int millis, List<Integer> hertz) {
    public Step {
      hertz = List.copyOf(hertz);
    }
  }

  static Step tone(int millis, Integer... hertz) {
    return new Step(millis, Arrays.asList(hertz));
  }

  static Step pause(int millis) {
    return new Step(millis, List.of());
  }

  static Cadence of(Step... steps) {
    return new Cadence(Arrays.asList(steps));
  }

  /** These frequencies on and off in turn, for so many milliseconds each. */
  static Cadence beating(List<Integer> hertz, int... onOff) {
    Step[] steps = new Step[onOff.length];
    for (int i = 0; i < onOff.length; i++) {
      steps[i] = i % 2 == 0 ? new Step(onOff[i], hertz) : pause(onOff[i]);
    }
    return of(steps);
  }

  /** One round of it, to be played again and again. */
  public short[] round() {
    int length = steps.stream().mapToInt(step -> samples(step.millis())).sum();
    short[] round = new short[length];
    int at = 0;
    for (Step step : steps) {
      render(step, round, at);
      at += samples(step.millis());
    }
    return round;
  }

  private void render(Step step, short[] round, int from) {
    int length = samples(step.millis());
    boolean endless = steps.size() == 1;
    for (int i = 0; i < length; i++) {
      double value = 0;
      for (int hertz : step.hertz()) {
        value += Math.sin(2 * Math.PI * hertz * i / Pcm.RATE);
      }
      double ramp = endless ? 1 : Math.min(1, Math.min(i, length - 1 - i) / (double) RAMP);
      round[from + i] =
          Pcm.clip(AMPLITUDE * ramp * value / Math.max(1, Math.sqrt(step.hertz().size())));
    }
  }

  private static int samples(int millis) {
    return millis * Pcm.RATE / 1000;
  }
}
