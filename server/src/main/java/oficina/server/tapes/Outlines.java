package oficina.server.tapes;

/** The outlines of both channels of a recording, gathered as it is read. */
final class Outlines {
  static final int PARTS = 400;

  private final byte[] ours = new byte[PARTS];
  private final byte[] theirs = new byte[PARTS];
  private final long samples;
  private long at;

  /**
   * @param samples of each channel
   */
  Outlines(long samples) {
    this.samples = samples;
  }

  /** Goes on with samples of both channels in turn. */
  void add(short[] both) {
    for (int i = 0; i + 1 < both.length; i += TapeWriter.CHANNELS) {
      int part = (int) Math.min(PARTS - 1, at++ * PARTS / samples);
      raise(ours, part, both[i]);
      raise(theirs, part, both[i + 1]);
    }
  }

  private static void raise(byte[] outline, int part, short sample) {
    int share = Math.min(100, Math.round(100f * Math.abs((int) sample) / Short.MAX_VALUE));
    if (share > outline[part]) {
      outline[part] = (byte) share;
    }
  }

  byte[] ours() {
    return ours;
  }

  byte[] theirs() {
    return theirs;
  }
}
