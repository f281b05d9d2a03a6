package oficina.server.voicemail;

import java.io.InputStream;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import org.springframework.core.io.AbstractResource;
import org.springframework.lang.Nullable;

/**
 * Kept sound as a WAV file that is made as it is read, so that somebody who seeks in it gets that
 * part alone (byte ranges, RFC 9110).
 */
final class SoundFile extends AbstractResource {
  /** Where the sound comes from, a second at a time. */
  interface Source {
    /** The samples of this second in one byte each; fewer in the last. */
    byte[] second(int number);
  }

  private final String name;
  private final int samples;
  private final Source source;

  /**
   * @param name of the file when it is saved
   */
  SoundFile(String name, int samples, Source source) {
    this.name = name;
    this.samples = samples;
    this.source = source;
  }

  @Override
  public long contentLength() {
    return Wav.HEADER + 2L * samples;
  }

  @Override
  public String getFilename() {
    return name;
  }

  @Override
  public String getDescription() {
    return name;
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return this == other;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(this);
  }

  @Override
  public InputStream getInputStream() {
    return new Reading();
  }

  private final class Reading extends InputStream {
    private long at;
    private byte[] part = Wav.header(samples);
    private long partFrom;

    private boolean over() {
      return at >= contentLength();
    }

    /** Has the part at hand in which the next byte is. */
    private void turnTo() {
      if (at >= partFrom && at < partFrom + part.length) {
        return;
      }
      if (at < Wav.HEADER) {
        part = Wav.header(samples);
        partFrom = 0;
        return;
      }
      int second = (int) ((at - Wav.HEADER) / (2L * Pcm.RATE));
      part = Pcm.bytes(KeptSound.samples(source.second(second)));
      partFrom = Wav.HEADER + 2L * Pcm.RATE * second;
    }

    @Override
    public int read() {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
    }

    @Override
    public int read(byte[] into, int from, int most) {
      if (over()) {
        return -1;
      }
      turnTo();
      int offset = (int) (at - partFrom);
      int count = Math.min(most, part.length - offset);
      if (count <= 0) {
        return -1; // less is kept than there should be
      }
      System.arraycopy(part, offset, into, from, count);
      at += count;
      return count;
    }

    @Override
    public long skip(long wanted) {
      long skipped = Math.max(0, Math.min(wanted, contentLength() - at));
      at += skipped;
      return skipped;
    }
  }
}
