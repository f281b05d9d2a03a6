package oficina.server.door;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;

/**
 * Which texts may come in: well-formed Unicode (no half of a surrogate pair, no non-character)
 * without control characters but for tabs and line breaks.
 */
public final class Texts {
  private Texts() {}

  /** Whether a text may come in. */
  static boolean allowed(String text) {
    return text.codePoints().allMatch(Texts::allowed);
  }

  /** A text that can be sent, whatever came from elsewhere: halves of pairs become U+FFFD. */
  public static String wellFormed(String text) {
    if (text.codePoints().noneMatch(each -> Character.getType(each) == Character.SURROGATE)) {
      return text;
    }
    StringBuilder mended = new StringBuilder();
    text.codePoints()
        .map(each -> Character.getType(each) == Character.SURROGATE ? 0xfffd : each)
        .forEach(mended::appendCodePoint);
    return mended.toString();
  }

  private static boolean allowed(int character) {
    return switch (Character.getType(character)) {
      case Character.SURROGATE -> false;
      case Character.CONTROL -> character == '\t' || character == '\n' || character == '\r';
      default -> (character & 0xfffe) != 0xfffe;
    };
  }

  /**
   * Whether a part of an address, as it was sent, is percent-encoded UTF-8 (RFC 3986, RFC 3629) of
   * a text that may come in.
   */
  static boolean allowedEncoded(String part) {
    byte[] bytes = new byte[part.length()];
    int length = 0;
    for (int i = 0; i < part.length(); i++) {
      char c = part.charAt(i);
      if (c > 0x7e || c < 0x21) {
        return false;
      }
      if (c == '%') {
        if (i + 2 >= part.length()) {
          return false;
        }
        int high = Character.digit(part.charAt(++i), 16);
        int low = Character.digit(part.charAt(++i), 16);
        if (high < 0 || low < 0) {
          return false;
        }
        bytes[length++] = (byte) (high << 4 | low);
      } else {
        bytes[length++] = (byte) c;
      }
    }
    try {
      return allowed(
          StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes, 0, length)).toString());
    } catch (CharacterCodingException e) {
      return false;
    }
  }
}
