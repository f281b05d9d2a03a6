package oficina.core.files;

import java.io.IOException;
import java.io.Reader;
import org.jspecify.annotations.Nullable;

/**
 * The lines of a file, one after the other, however they end (LF, CR or both). Of a line that is
 * longer than anything that makes sense only the beginning is kept. A mark of byte order at the
 * beginning of the file is left out.
 */
public final class Lines {
  /** Where so many things in a file are wrong, nobody has use for the rest of it. */
  public static final int MOST_WRONG = 2_000;

  private static final char BYTE_ORDER_MARK = '\uFEFF';

  private final Reader file;
  private final int longest;
  private final char[] buffer = new char[8_192];
  private int at;
  private int filled;
  private int number;

  /**
   * One line.
   *
   * @param number from 1
   * @param text without its end
   * @param cut whether it was longer
   */
  public record Line(int number, String text, boolean cut) {}

  /**
   * @param longest of what is kept of a line, in characters
   */
  public Lines(Reader file, int longest) {
    this.file = file;
    this.longest = longest;
  }

  /** The next line; null at the end of the file. */
  public @Nullable Line next() throws IOException {
    int c = read();
    if (number == 0 && c == BYTE_ORDER_MARK) {
      c = read();
    }
    if (c < 0) {
      return null;
    }
    StringBuilder text = new StringBuilder();
    boolean cut = false;
    while (c >= 0 && c != '\n' && c != '\r') {
      if (text.length() < longest) {
        text.append((char) c);
      } else {
        cut = true;
      }
      c = read();
    }
    if (c == '\r' && read() != '\n') {
      at = Math.max(0, at - 1); // of the next line already; at the end of the file it is no matter
    }
    return new Line(++number, text.toString(), cut);
  }

  private int read() throws IOException {
    if (at >= filled) {
      filled = file.read(buffer);
      at = 0;
      if (filled < 0) {
        filled = 0;
        return -1;
      }
    }
    return buffer[at++];
  }
}
