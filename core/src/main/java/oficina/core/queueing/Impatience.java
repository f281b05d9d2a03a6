package oficina.core.queueing;

import java.time.Duration;
import java.util.function.DoubleUnaryOperator;

/**
 * A waiting line whose callers give up after exponentially distributed times (Erlang A, or
 * M/M/n+M). By the integrals of S. Zeltyn and A. Mandelbaum (Call centers with impatient customers,
 * Queueing Systems 51, 2005), scaled by their largest value.
 */
public final class Impatience {
  /** Beyond e to the power of this nothing is added to an integral. */
  private static final double NOTHING = -45;

  /** An even number of steps, for Simpson's rule. */
  private static final int STEPS = 8_000;

  private final int servers;
  private final double arriving;
  private final double serving;
  private final double leaving;

  /** The largest exponent, by which everything is scaled. */
  private final double top;

  /** Where the integrals end. */
  private final double far;

  private final double fewer;
  private final double all;

  /**
   * @param servers one or more
   * @param traffic offered, in erlangs; more than none
   * @param handling mean time a call takes
   * @param patience mean time after which a caller gives up
   */
  public Impatience(int servers, double traffic, Duration handling, Duration patience) {
    if (servers < 1 || !(traffic > 0) || handling.isZero() || patience.isZero()) {
      throw new IllegalArgumentException(servers + " servers, " + traffic + " erlangs");
    }
    this.servers = servers;
    serving = 1 / Erlang.seconds(handling);
    leaving = 1 / Erlang.seconds(patience);
    arriving = traffic * serving;
    double peak =
        arriving > servers * serving ? Math.log(arriving / (servers * serving)) / leaving : 0;
    top = exponent(peak);
    far = far(peak);
    fewer = Erlang.inverseLost(servers - 1, traffic) * Math.exp(-top);
    all = integral(0, x -> 1);
  }

  private double exponent(double x) {
    return arriving * -Math.expm1(-leaving * x) / leaving - servers * serving * x;
  }

  private double far(double peak) {
    double step = 1 / (servers * serving);
    double x = peak + step;
    while (exponent(x) - top > NOTHING) {
      step *= 2;
      x = peak + step;
    }
    return x;
  }

  /** The integral of what is offered to wait for longer than this, each with its weight. */
  private double integral(double from, DoubleUnaryOperator weight) {
    if (from >= far) {
      return 0;
    }
    double width = (far - from) / STEPS;
    double sum = 0;
    for (int i = 0; i <= STEPS; i++) {
      double x = from + i * width;
      int times = i == 0 || i == STEPS ? 1 : i % 2 == 1 ? 4 : 2;
      sum += times * weight.applyAsDouble(x) * Math.exp(exponent(x) - top);
    }
    return sum * width / 3;
  }

  /** The share of calls that have to wait. */
  public double waits() {
    return arriving * all / (fewer + arriving * all);
  }

  /** The share of calls that give up. */
  public double givesUp() {
    return leaving * meanWait();
  }

  /** The mean wait of all calls, of those too that give up; in seconds. */
  public double meanWait() {
    // Whoever has patience for longer than what is offered waits for that, others for less.
    double waited = integral(0, x -> -Math.expm1(-leaving * x) / leaving);
    return arriving * waited / (fewer + arriving * all);
  }

  /** The share of all calls that are answered, and within this time. */
  public double answeredWithin(Duration time) {
    double served = integral(Erlang.seconds(time), x -> Math.exp(-leaving * x));
    return 1 - givesUp() - arriving * served / (fewer + arriving * all);
  }
}
