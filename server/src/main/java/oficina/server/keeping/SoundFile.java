package oficina.server.keeping;

import java.io.InputStream;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import org.springframework.core.io.AbstractResource;
import org.springframework.lang.Nullable;

/**
 * Kept sound as a WAV file that is made as it is read, so that somebody who seeks in it gets that
 * part alone (byte ranges, RFC 9110).
 */
public final class SoundFile extends AbstractResource {
  private final String name;
  private final SoundStore.Sound sound;
  private final SoundStore store;
  private final long from;
  private final long to;

  /**
   * @param name of the file when it is saved
   */
  public SoundFile(String name, SoundStore.Sound sound, SoundStore store) {
    this(name, sound, store, 0, Wav.HEADER + 2L * sound.samples() * sound.channels());
  }

  private SoundFile(String name, SoundStore.Sound sound, SoundStore store, long from, long to) {
    this.name = name;
    this.sound = sound;
    this.store = store;
    this.from = from;
    this.to = to;
  }

  /** A part of it: so many bytes from there on. */
  SoundFile part(long begin, long count) {
    return new SoundFile(name, sound, store, begin, begin + count);
  }

  private byte[] header() {
    return Wav.header(sound.samples(), sound.channels());
  }

  private long bytesOfASecond() {
    return 2L * Pcm.RATE * sound.channels();
  }

  @Override
  public long contentLength() {
    return to - from;
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
    private long at = from;
    private byte[] part = header();
    private long partFrom;

    private boolean over() {
      return at >= to;
    }

    /** Has the part at hand in which the next byte is. */
    private void turnTo() {
      if (at >= partFrom && at < partFrom + part.length) {
        return;
      }
      if (at < Wav.HEADER) {
        part = header();
        partFrom = 0;
        return;
      }
      int second = (int) ((at - Wav.HEADER) / bytesOfASecond());
      part = Pcm.bytes(KeptSound.samples(store.second(sound.id(), second)));
      partFrom = Wav.HEADER + bytesOfASecond() * second;
    }

    @Override
    public int read() {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
    }

    @Override
    public int read(byte[] into, int offset, int most) {
      if (over()) {
        return -1;
      }
      turnTo();
      int begin = (int) (at - partFrom);
      int count = (int) Math.min(to - at, Math.min(most, part.length - begin));
      if (count <= 0) {
        return -1; // less is kept than there should be
      }
      System.arraycopy(part, begin, into, offset, count);
      at += count;
      return count;
    }

    @Override
    public long skip(long wanted) {
      long skipped = Math.max(0, Math.min(wanted, to - at));
      at += skipped;
      return skipped;
    }
  }
}
