package oficina.server.softphone;

import java.security.GeneralSecurityException;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.bouncycastle.crypto.BlockCipher;
import org.bouncycastle.crypto.engines.AESEngine;
import org.bouncycastle.crypto.params.KeyParameter;

/**
 * Encrypts and authenticates the packets of one direction (RFC 3711, AES_CM_128_HMAC_SHA1_80). Used
 * by one thread at a time; allocates nothing for a packet.
 */
final class Srtp {
  /** A packet that is not to be used. */
  static final int FORGED = -1;

  /** A packet that has been there before, or is too old to tell. */
  static final int REPLAYED = -2;

  static final int KEY = 16;
  static final int SALT = 14;
  private static final int TAG = 10;
  private static final int BLOCK = 16;
  private static final int HEADER = 12;
  private static final int WINDOW = 64;

  private final BlockCipher cipher = AESEngine.newInstance();
  private final byte[] salt;
  private final Mac mac;
  private final byte[] counter = new byte[BLOCK];
  private final byte[] stream = new byte[BLOCK];
  private final byte[] digest = new byte[20];
  private final byte[] rollover = new byte[4];

  /** The highest index seen: how often the sequence number rolled over, and the number itself. */
  private long highest = -1;

  private long seen;

  Srtp(byte[] masterKey, byte[] masterSalt) {
    cipher.init(true, new KeyParameter(derive(masterKey, masterSalt, 0, KEY)));
    salt = derive(masterKey, masterSalt, 2, SALT);
    try {
      mac = Mac.getInstance("HmacSHA1");
      mac.init(new SecretKeySpec(derive(masterKey, masterSalt, 1, 20), "HmacSHA1"));
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }

  /** A session key of this label (RFC 3711, 4.3.1). */
  static byte[] derive(byte[] key, byte[] salt, int label, int length) {
    BlockCipher cipher = AESEngine.newInstance();
    cipher.init(true, new KeyParameter(key));
    byte[] counter = new byte[BLOCK];
    System.arraycopy(salt, 0, counter, 0, SALT);
    counter[7] ^= (byte) label;
    byte[] derived = new byte[(length + BLOCK - 1) / BLOCK * BLOCK];
    for (int i = 0; i < derived.length; i += BLOCK) {
      counter[BLOCK - 1] = (byte) (i / BLOCK);
      cipher.processBlock(counter, 0, derived, i);
    }
    return java.util.Arrays.copyOf(derived, length);
  }

  /**
   * Encrypts a packet in place; its array has room for the tag.
   *
   * @return its length from now on
   */
  int protect(byte[] packet, int length) {
    int number = number(packet);
    long index = highest < 0 ? number : index(number);
    highest = Math.max(highest, index);
    int header = header(packet, length);
    crypt(packet, header, length, index);
    tag(packet, length, index);
    System.arraycopy(digest, 0, packet, length, TAG);
    return length + TAG;
  }

  /**
   * Authenticates and decrypts a packet in place.
   *
   * @return its length without the tag, or {@link #FORGED} or {@link #REPLAYED}
   */
  int unprotect(byte[] packet, int length) {
    int plain = length - TAG;
    if (plain < HEADER) {
      return FORGED;
    }
    int header = header(packet, plain);
    if (header > plain) {
      return FORGED;
    }
    int number = number(packet);
    long index = highest < 0 ? number : index(number);
    if (index < 0 || wasThere(index)) {
      return REPLAYED;
    }
    tag(packet, plain, index);
    if (!sameTag(packet, plain)) {
      return FORGED;
    }
    crypt(packet, header, plain, index);
    remember(index);
    return plain;
  }

  /** In the same time whatever differs. */
  private boolean sameTag(byte[] packet, int at) {
    int different = 0;
    for (int i = 0; i < TAG; i++) {
      different |= digest[i] ^ packet[at + i];
    }
    return different == 0;
  }

  private static int number(byte[] packet) {
    return (packet[2] & 0xFF) << 8 | packet[3] & 0xFF;
  }

  /** RFC 3711, 3.3.1: the index nearest to the highest one seen. */
  private long index(int number) {
    long near = (highest & ~0xFFFFL) | number;
    if (near - highest > 0x8000) {
      return near - 0x10000;
    }
    return highest - near > 0x8000 ? near + 0x10000 : near;
  }

  private boolean wasThere(long index) {
    long back = highest - index;
    return back >= 0 && (back >= WINDOW || (seen >> back & 1) != 0);
  }

  private void remember(long index) {
    if (index > highest) {
      long forward = index - highest;
      seen = highest < 0 || forward >= WINDOW ? 1 : seen << forward | 1;
      highest = index;
    } else {
      seen |= 1L << highest - index;
    }
  }

  /** Where the payload begins, after the sources and the extension. */
  static int header(byte[] packet, int length) {
    int end = HEADER + 4 * (packet[0] & 0xF);
    if ((packet[0] & 0x10) != 0 && end + 4 <= length) {
      end += 4 + 4 * ((packet[end + 2] & 0xFF) << 8 | packet[end + 3] & 0xFF);
    }
    return end;
  }

  private void crypt(byte[] packet, int from, int to, long index) {
    System.arraycopy(salt, 0, counter, 0, SALT);
    counter[14] = 0;
    for (int i = 0; i < 4; i++) {
      counter[4 + i] ^= packet[8 + i]; // the source
    }
    for (int i = 0; i < 6; i++) {
      counter[8 + i] ^= (byte) (index >> 8 * (5 - i));
    }
    int block = 0;
    for (int at = from; at < to; at += BLOCK) {
      counter[14] = (byte) (block >> 8);
      counter[15] = (byte) block++;
      cipher.processBlock(counter, 0, stream, 0);
      int end = Math.min(to, at + BLOCK);
      for (int i = at; i < end; i++) {
        packet[i] ^= stream[i - at];
      }
    }
  }

  private void tag(byte[] packet, int length, long index) {
    int rolled = (int) (index >> 16);
    for (int i = 0; i < 4; i++) {
      rollover[i] = (byte) (rolled >> 8 * (3 - i));
    }
    mac.update(packet, 0, length);
    mac.update(rollover);
    try {
      mac.doFinal(digest, 0);
    } catch (GeneralSecurityException e) {
      throw new IllegalStateException(e);
    }
  }
}
