package oficina.core.sound;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Opus packets as a file that players read: Ogg (RFC 3533) as Opus uses it (RFC 7845). */
public final class OggOpus {
  private static final int FIRST = 2;
  private static final int LAST = 4;
  private static final int HEADER = 27;
  private static final int MOST_SEGMENTS = 255;
  private static final int POLYNOMIAL = 0x04C11DB7;

  /** Positions count at this rate, whatever the rate of the sound (RFC 7845, 4). */
  private static final int RATE = 48_000;

  private static final int TICKS = RATE * Pcm.FRAME_MS / 1000;

  /** What a decoder needs before its sound is right (RFC 7845, 4.2), in ticks. */
  private static final int PRE_SKIP = 312;

  private final ByteArrayOutputStream file = new ByteArrayOutputStream();
  private final int serial;
  private int pages;

  private OggOpus(int serial) {
    this.serial = serial;
  }

  /**
   * A file of one channel.
   *
   * @param packets of {@link Pcm#FRAME_MS} each, at most 61,000 bytes
   * @param serial tells streams apart that are put into one file
   */
  public static byte[] file(List<byte[]> packets, int serial) {
    OggOpus ogg = new OggOpus(serial);
    ogg.page(FIRST, 0, head());
    ogg.page(0, 0, tags());
    for (int i = 0; i < packets.size(); i++) {
      long position = PRE_SKIP + (long) (i + 1) * TICKS;
      ogg.page(i + 1 == packets.size() ? LAST : 0, position, packets.get(i));
    }
    return ogg.file.toByteArray();
  }

  private static byte[] head() {
    return ByteBuffer.allocate(19)
        .order(ByteOrder.LITTLE_ENDIAN)
        .put("OpusHead".getBytes(StandardCharsets.US_ASCII))
        .put((byte) 1)
        .put((byte) 1)
        .putShort((short) PRE_SKIP)
        .putInt(Pcm.RATE)
        .putShort((short) 0)
        .put((byte) 0)
        .array();
  }

  private static byte[] tags() {
    byte[] maker = "Oficina".getBytes(StandardCharsets.US_ASCII);
    return ByteBuffer.allocate(8 + 4 + maker.length + 4)
        .order(ByteOrder.LITTLE_ENDIAN)
        .put("OpusTags".getBytes(StandardCharsets.US_ASCII))
        .putInt(maker.length)
        .put(maker)
        .putInt(0)
        .array();
  }

  /** One packet a page: a little longer, and any of them can be found. */
  private void page(int flags, long position, byte[] packet) {
    int segments = packet.length / MOST_SEGMENTS + 1;
    ByteBuffer page =
        ByteBuffer.allocate(HEADER + segments + packet.length)
            .order(ByteOrder.LITTLE_ENDIAN)
            .put("OggS".getBytes(StandardCharsets.US_ASCII))
            .put((byte) 0)
            .put((byte) flags)
            .putLong(position)
            .putInt(serial)
            .putInt(pages++)
            .putInt(0)
            .put((byte) segments);
    for (int i = 1; i < segments; i++) {
      page.put((byte) MOST_SEGMENTS);
    }
    page.put((byte) (packet.length % MOST_SEGMENTS)).put(packet);
    page.putInt(22, checksum(page.array()));
    file.writeBytes(page.array());
  }

  /** The remainder of RFC 3533, 6: neither reflected nor inverted. */
  static int checksum(byte[] page) {
    int remainder = 0;
    for (byte each : page) {
      remainder ^= (each & 0xFF) << 24;
      for (int bit = 0; bit < 8; bit++) {
        remainder = remainder < 0 ? remainder << 1 ^ POLYNOMIAL : remainder << 1;
      }
    }
    return remainder;
  }
}
