package oficina.core.sound;

/** The outline of sound, for drawing it as a band. */
public final class Outline {
  private Outline() {}

  /** The loudest sample of each of so many equal parts, 0 to 100 of the largest value. */
  public static byte[] of(short[] samples, int parts) {
    byte[] outline = new byte[parts];
    for (int part = 0; part < parts; part++) {
      int from = (int) ((long) samples.length * part / parts);
      int to = (int) ((long) samples.length * (part + 1) / parts);
      int peak = 0;
      for (int i = from; i < to; i++) {
        peak = Math.max(peak, Math.abs((int) samples[i]));
      }
      outline[part] = (byte) Math.min(100, Math.round(100.0 * peak / Short.MAX_VALUE));
    }
    return outline;
  }
}
