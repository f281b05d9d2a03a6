package oficina.server.door;

/** Counts what comes from one place, and says when it comes faster than anybody's fingers. */
public final class PerSecond {
  private final int most;
  private long second;
  private int count;

  /**
   * @param most how many of them a second may have
   */
  public PerSecond(int most) {
    this.most = most;
  }

  /** One more has come; whether it is still in time. */
  public synchronized boolean allows() {
    long now = System.nanoTime() / 1_000_000_000;
    if (now != second) {
      second = now;
      count = 0;
    }
    return ++count <= most;
  }
}
