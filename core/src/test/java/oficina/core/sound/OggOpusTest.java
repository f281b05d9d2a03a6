package oficina.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class OggOpusTest {

  /**
   * What a reader makes of a file: each page's packet, its flags and position checked on the way.
   */
  private static List<byte[]> packets(byte[] file) {
    List<byte[]> packets = new ArrayList<>();
    ByteBuffer in = ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN);
    while (in.hasRemaining()) {
      int from = in.position();
      byte[] capture = new byte[4];
      in.get(capture);
      assertThat(new String(capture, StandardCharsets.US_ASCII)).isEqualTo("OggS");
      in.get();
      int flags = in.get();
      long position = in.getLong();
      assertThat(in.getInt()).as("serial").isEqualTo(7);
      assertThat(in.getInt()).as("number").isEqualTo(packets.size());
      int checksum = in.getInt();
      int length = 0;
      for (int segments = in.get() & 0xFF; segments > 0; segments--) {
        length += in.get() & 0xFF;
      }
      byte[] packet = new byte[length];
      in.get(packet);
      byte[] page = Arrays.copyOfRange(file, from, in.position());
      Arrays.fill(page, 22, 26, (byte) 0);
      assertThat(OggOpus.checksum(page)).isEqualTo(checksum);
      assertThat((flags & 2) != 0).as("first").isEqualTo(packets.isEmpty());
      assertThat((flags & 4) != 0).as("last").isEqualTo(!in.hasRemaining());
      assertThat(position).isEqualTo(packets.size() < 2 ? 0 : 312 + 960L * (packets.size() - 1));
      packets.add(packet);
    }
    return packets;
  }

  @Test
  void packets_of_any_length_come_out_as_they_went_in() {
    List<byte[]> sound = new ArrayList<>();
    for (int length : new int[] {1, 40, 254, 255, 256, 510, 1_275}) {
      byte[] packet = new byte[length];
      Arrays.fill(packet, (byte) length);
      sound.add(packet);
    }
    List<byte[]> read = packets(OggOpus.file(sound, 7));
    assertThat(new String(read.get(0), 0, 8, StandardCharsets.US_ASCII)).isEqualTo("OpusHead");
    assertThat(new String(read.get(1), 0, 8, StandardCharsets.US_ASCII)).isEqualTo("OpusTags");
    assertThat(read.subList(2, read.size())).containsExactlyElementsOf(sound);
  }

  /**
   * Of "123456789" with this polynomial, neither reflected nor inverted (CRC-32 of POSIX less its
   * ends).
   */
  @Test
  void the_checksum_is_that_of_the_standard() {
    assertThat(OggOpus.checksum("123456789".getBytes(StandardCharsets.US_ASCII)))
        .isEqualTo(0x89A1897F);
  }
}
