package oficina.server.softphone;

import java.net.InetSocketAddress;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.jspecify.annotations.Nullable;

/**
 * Binding requests of a page that looks for its way here, and what is answered (RFC 8489, as used
 * by ICE, RFC 8445). Only that much of it.
 */
final class Stun {
  private static final int COOKIE = 0x2112A442;
  private static final int HEADER = 20;
  private static final int REQUEST = 0x0001;
  private static final int SUCCESS = 0x0101;
  private static final int USERNAME = 0x0006;
  private static final int INTEGRITY = 0x0008;
  private static final int XOR_ADDRESS = 0x0020;
  private static final int FINGERPRINT = 0x8028;
  private static final int FINGERPRINT_MASK = 0x5354554e;
  private static final int SHA1 = 20;

  private Stun() {}

  /**
   * A binding request.
   *
   * @param name whom it is for, the first half of its user name
   * @param signed how much of the message its integrity covers
   */
  record Request(byte[] message, String name, int signed) {

    /** Whether whoever sent it knows the password. */
    boolean isSignedWith(byte[] password) {
      byte[] covered = Arrays.copyOf(message, signed);
      // Its length counts as if nothing came after the integrity (RFC 8489, 14.5).
      ByteBuffer.wrap(covered).putShort(2, (short) (signed + 4 + SHA1 - HEADER));
      byte[] found = Arrays.copyOfRange(message, signed + 4, signed + 4 + SHA1);
      return MessageDigest.isEqual(hmac(password, covered, covered.length), found);
    }
  }

  /** The request in this packet, or null when it is none. */
  static @Nullable Request request(byte[] packet, int length) {
    if (length < HEADER) {
      return null;
    }
    byte[] message = Arrays.copyOf(packet, length);
    ByteBuffer in = ByteBuffer.wrap(message);
    if (in.getShort(0) != REQUEST
        || (in.getShort(2) & 0xFFFF) != length - HEADER
        || in.getInt(4) != COOKIE) {
      return null;
    }
    String name = null;
    for (int at = HEADER; at + 4 <= length; ) {
      int type = in.getShort(at) & 0xFFFF;
      int size = in.getShort(at + 2) & 0xFFFF;
      if (at + 4 + size > length) {
        return null;
      }
      if (type == USERNAME) {
        name = new String(message, at + 4, size, StandardCharsets.UTF_8);
      } else if (type == INTEGRITY) {
        return name == null || size != SHA1 ? null : new Request(message, firstHalf(name), at);
      }
      at += 4 + (size + 3 & ~3);
    }
    return null;
  }

  private static String firstHalf(String name) {
    int colon = name.indexOf(':');
    return colon < 0 ? name : name.substring(0, colon);
  }

  /** The answer to a request: where it came from as seen here, signed in the same way. */
  static byte[] answer(Request request, byte[] password, InetSocketAddress from) {
    ByteBuffer out = ByteBuffer.allocate(120);
    out.putShort((short) SUCCESS).putShort((short) 0).put(request.message(), 4, 16);
    byte[] address = from.getAddress().getAddress();
    out.putShort((short) XOR_ADDRESS).putShort((short) (4 + address.length));
    out.put((byte) 0).put((byte) (address.length == 4 ? 1 : 2));
    out.putShort((short) (from.getPort() ^ COOKIE >>> 16));
    for (int i = 0; i < address.length; i++) {
      out.put((byte) (address[i] ^ request.message()[4 + i])); // the cookie, then the transaction
    }
    setLength(out, 4 + SHA1);
    byte[] integrity = hmac(password, out.array(), out.position());
    out.putShort((short) INTEGRITY).putShort((short) SHA1).put(integrity);
    setLength(out, 8);
    CRC32 crc = new CRC32();
    crc.update(out.array(), 0, out.position());
    out.putShort((short) FINGERPRINT).putShort((short) 4);
    out.putInt((int) crc.getValue() ^ FINGERPRINT_MASK);
    return Arrays.copyOf(out.array(), out.position());
  }

  private static void setLength(ByteBuffer out, int stillToCome) {
    out.putShort(2, (short) (out.position() - HEADER + stillToCome));
  }

  private static byte[] hmac(byte[] key, byte[] data, int length) {
    try {
      Mac mac = Mac.getInstance("HmacSHA1");
      mac.init(new SecretKeySpec(key, "HmacSHA1"));
      mac.update(data, 0, length);
      return mac.doFinal();
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }
}
