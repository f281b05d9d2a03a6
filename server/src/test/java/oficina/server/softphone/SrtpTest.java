package oficina.server.softphone;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.HexFormat;
import org.junit.jupiter.api.Test;

/** Against the vectors of the standards, and over the rolling over of the sequence number. */
class SrtpTest {
  private static final byte[] KEY = hex("E1F97A0D3E018BE0D64FA32C06DE4139");
  private static final byte[] SALT = hex("0EC675AD498AFEEBB6960B3AABE6");

  private static byte[] hex(String digits) {
    return HexFormat.of().parseHex(digits.replace(" ", ""));
  }

  private static byte[] packet(int number) {
    byte[] packet = new byte[12 + 20 + 10];
    packet[0] = (byte) 0x80;
    packet[1] = 15;
    packet[2] = (byte) (number >> 8);
    packet[3] = (byte) number;
    return packet;
  }

  /** RFC 3711, B.3: the keystream shows the session key and salt that were derived. */
  @Test
  void keys_are_derived_as_in_the_standard() {
    assertThat(Srtp.derive(KEY, SALT, 0, 16)).isEqualTo(hex("C61E7A93744F39EE10734AFE3FF7A087"));
    assertThat(Srtp.derive(KEY, SALT, 2, 14)).isEqualTo(hex("30CBBC08863D8C85D49DB34A9AE1"));
    assertThat(Srtp.derive(KEY, SALT, 1, 20))
        .isEqualTo(hex("CEBE321F6FF7716B6FD4AB49AF256A156D38BAA4"));
  }

  /** The packet of the test vectors of libraries that implement RFC 3711. */
  @Test
  void a_packet_is_protected_as_others_do() {
    byte[] plain = hex("800f1234decafbadcafebabe abababababababababababababababab");
    byte[] packet = java.util.Arrays.copyOf(plain, plain.length + 10);
    new Srtp(KEY, SALT).protect(packet, plain.length);
    assertThat(packet)
        .isEqualTo(
            hex(
                "800f1234decafbadcafebabe 4e55dc4ce79978d88ca4d215949d2402"
                    + "b78d6acc99ea179b8dbb"));
  }

  @Test
  void the_sequence_number_rolls_over_and_packets_may_come_out_of_order() {
    Srtp sender = new Srtp(KEY, SALT);
    Srtp receiver = new Srtp(KEY, SALT);
    byte[] late = null;
    for (int number = 65_500; number < 65_600; number++) {
      byte[] packet = packet(number & 0xFFFF);
      int length = sender.protect(packet, 32);
      if (number == 65_535) {
        late = packet;
      } else {
        assertThat(receiver.unprotect(packet, length)).as("packet %s", number).isEqualTo(32);
      }
    }
    byte[] again = late.clone();
    assertThat(receiver.unprotect(late, late.length)).as("64 behind").isEqualTo(Srtp.REPLAYED);
    Srtp other = new Srtp(KEY, SALT);
    assertThat(other.unprotect(again, again.length)).isEqualTo(32);
  }

  /** RFC 5769, 2.1: the sample request of the standard. */
  @Test
  void requests_for_the_way_are_checked_as_in_the_standard() {
    byte[] request =
        hex(
            "000100582112a442b7e7a701bc34d686fa87dfae"
                + "802200105354554e207465737420636c69656e74"
                + "002400046e0001ff80290008932ff9b151263b36"
                + "00060009 6576746a3a68367659 202020"
                + "00080014 9aeaa70cbfd8cb56781ef2b5b2d3f249c1b571a2"
                + "80280004e57a3bcf");
    Stun.Request read = Stun.request(request, request.length);
    assertThat(read.name()).isEqualTo("evtj");
    assertThat(read.isSignedWith("VOkJxbRl1RmTxUk/WvJxBt".getBytes())).isTrue();
    assertThat(read.isSignedWith("VOkJxbRl1RmTxUk/WvJxBu".getBytes())).isFalse();
    byte[] answer =
        Stun.answer(
            read,
            "VOkJxbRl1RmTxUk/WvJxBt".getBytes(),
            new InetSocketAddress(InetAddress.getLoopbackAddress(), 32_853));
    assertThat(HexFormat.of().formatHex(answer))
        .startsWith("0101002c2112a442b7e7a701bc34d686fa87dfae" + "002000080001a147");
    for (int length = 0; length < request.length; length++) {
      assertThat(Stun.request(request, length)).as("cut off").isNull();
    }
  }
}
