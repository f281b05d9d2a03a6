package oficina.server.secrets;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Base64;
import javax.crypto.Cipher;
import javax.crypto.SecretKey;
import javax.crypto.spec.GCMParameterSpec;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Seals secrets for the database and opens them again: AES-256 in GCM (NIST SP 800-38D), bound to
 * the place they belong to, so that one moved elsewhere is worth nothing there. Those that were
 * written before there was a key are opened as they are.
 */
@Component
public class Sealer {
  private static final Logger LOG = LoggerFactory.getLogger(Sealer.class);

  /** With which what is sealed begins; what comes by chance does not. */
  private static final byte[] MARK = "sealed1:".getBytes(StandardCharsets.US_ASCII);

  private static final String CIPHER = "AES/GCM/NoPadding";
  private static final int NONCE_BYTES = 12;
  private static final int TAG_BITS = 128;

  private final SecureRandom random = new SecureRandom();
  private final @Nullable SecretKey key;

  @Autowired
  Sealer(@Value("${oficina.secrets-key-file}") String file) {
    this(file.isEmpty() ? null : KeyFile.of(file));
    if (file.isEmpty()) {
      LOG.warn("Secrets stand in the database as they are: OFICINA_SECRETS_KEY_FILE names no file");
    }
  }

  Sealer(@Nullable SecretKey key) {
    this.key = key;
  }

  /**
   * Seals a secret; as it is, where there is no key.
   *
   * @param place where it belongs, which it is opened with
   */
  public byte[] seal(byte[] secret, String place) {
    if (key == null) {
      return secret.clone();
    }
    byte[] nonce = new byte[NONCE_BYTES];
    random.nextBytes(nonce);
    byte[] sealed = run(Cipher.ENCRYPT_MODE, nonce, secret, place);
    return ByteBuffer.allocate(MARK.length + NONCE_BYTES + sealed.length)
        .put(MARK)
        .put(nonce)
        .put(sealed)
        .array();
  }

  /**
   * What was sealed.
   *
   * @throws SecretLostException when it was sealed by another key, or for another place
   */
  public byte[] open(byte[] sealed, String place) {
    if (!isSealed(sealed)) {
      return sealed.clone();
    }
    int from = MARK.length + NONCE_BYTES;
    return run(
        Cipher.DECRYPT_MODE,
        Arrays.copyOfRange(sealed, MARK.length, from),
        Arrays.copyOfRange(sealed, from, sealed.length),
        place);
  }

  /** Whether it could be sealed better than it is: it was written before there was a key. */
  public boolean isToSeal(byte[] kept) {
    return key != null && !isSealed(kept);
  }

  private static boolean isSealed(byte[] kept) {
    return kept.length >= MARK.length + NONCE_BYTES
        && Arrays.equals(kept, 0, MARK.length, MARK, 0, MARK.length);
  }

  private byte[] run(int mode, byte[] nonce, byte[] text, String place) {
    try {
      if (key == null) {
        throw new GeneralSecurityException("no key");
      }
      Cipher cipher = Cipher.getInstance(CIPHER);
      cipher.init(mode, key, new GCMParameterSpec(TAG_BITS, nonce));
      cipher.updateAAD(place.getBytes(StandardCharsets.UTF_8));
      return cipher.doFinal(text);
    } catch (GeneralSecurityException e) {
      throw new SecretLostException(e);
    }
  }

  /** The same of a text, for a column of text. */
  public String sealText(String secret, String place) {
    byte[] sealed = seal(secret.getBytes(StandardCharsets.UTF_8), place);
    return isSealed(sealed) ? Base64.getEncoder().encodeToString(sealed) : secret;
  }

  /**
   * @throws SecretLostException as {@link #open}
   */
  public String openText(String kept, String place) {
    byte[] sealed = sealedText(kept);
    return sealed == null ? kept : new String(open(sealed, place), StandardCharsets.UTF_8);
  }

  public boolean isToSeal(String kept) {
    return key != null && sealedText(kept) == null;
  }

  private static byte @Nullable [] sealedText(String kept) {
    try {
      byte[] bytes = Base64.getDecoder().decode(kept);
      return isSealed(bytes) ? bytes : null;
    } catch (IllegalArgumentException e) {
      return null; // it is plain
    }
  }
}
