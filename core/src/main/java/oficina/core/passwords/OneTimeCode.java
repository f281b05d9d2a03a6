package oficina.core.passwords;

import java.net.URLEncoder;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.OptionalLong;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * Codes that a telephone shows for half a minute each: time-based one-time passwords (RFC 6238) of
 * six digits over HMAC-SHA-1, as every program that makes such codes has them.
 */
public final class OneTimeCode {
  /** How many random bytes a secret has (RFC 4226, 4: 160 bits). */
  public static final int SECRET_BYTES = 20;

  private static final int STEP_SECONDS = 30;
  private static final int DIGITS = 6;
  private static final String BASE32 = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567";
  private static final int BASE32_BITS = 5;

  private OneTimeCode() {}

  /**
   * Whether what was typed is a code of this moment, or of the half minute before or after: clocks
   * differ, and typing takes its time.
   *
   * @param after the step whose code was taken last; what is not later was used already
   * @return the step whose code it is; empty when it is none that may be taken
   */
  public static OptionalLong accepted(byte[] secret, String typed, Instant now, long after) {
    byte[] code = typed.strip().replace(" ", "").getBytes(StandardCharsets.UTF_8);
    long step = now.getEpochSecond() / STEP_SECONDS;
    OptionalLong accepted = OptionalLong.empty();
    for (long each = step - 1; each <= step + 1; each++) {
      boolean same =
          MessageDigest.isEqual(of(secret, each, DIGITS).getBytes(StandardCharsets.UTF_8), code);
      if (same && each > after) {
        accepted = OptionalLong.of(each);
      }
    }
    return accepted;
  }

  /** The code of a moment. */
  public static String at(byte[] secret, Instant moment) {
    return of(secret, moment.getEpochSecond() / STEP_SECONDS, DIGITS);
  }

  /** RFC 4226, 5.3: four bytes at a place that the last one names, as decimal digits. */
  static String of(byte[] secret, long step, int digits) {
    try {
      Mac mac = Mac.getInstance("HmacSHA1");
      mac.init(new SecretKeySpec(secret, "HmacSHA1"));
      byte[] hash = mac.doFinal(ByteBuffer.allocate(Long.BYTES).putLong(step).array());
      int place = hash[hash.length - 1] & 0xF;
      int number = ByteBuffer.wrap(hash).getInt(place) & 0x7FFFFFFF;
      return String.format("%0" + digits + "d", number % (long) Math.pow(10, digits));
    } catch (NoSuchAlgorithmException | InvalidKeyException e) {
      throw new IllegalStateException(e); // every Java has it, and any key will do
    }
  }

  /** A secret as people type it into their program (RFC 4648, 6, without padding). */
  public static String base32(byte[] secret) {
    StringBuilder text = new StringBuilder();
    int bits = 0;
    int held = 0;
    for (byte each : secret) {
      held = held << Byte.SIZE | each & 0xFF;
      bits += Byte.SIZE;
      while (bits >= BASE32_BITS) {
        bits -= BASE32_BITS;
        text.append(BASE32.charAt(held >> bits & 0x1F));
      }
      held &= (1 << bits) - 1;
    }
    return bits == 0
        ? text.toString()
        : text.append(BASE32.charAt(held << BASE32_BITS - bits & 0x1F)).toString();
  }

  /**
   * The address that such a program reads off a picture.
   *
   * @param issuer the office
   * @param account whose codes they are
   */
  public static String address(String issuer, String account, byte[] secret) {
    return "otpauth://totp/%s:%s?secret=%s&issuer=%s&digits=%d&period=%d"
        .formatted(
            encoded(issuer),
            encoded(account),
            base32(secret),
            encoded(issuer),
            DIGITS,
            STEP_SECONDS);
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
  }
}
