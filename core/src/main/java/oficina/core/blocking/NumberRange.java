package oficina.core.blocking;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import oficina.core.numbers.PhoneNumber;
import org.jspecify.annotations.Nullable;

/** All numbers from one to another, as somebody types them who wants to name many at once. */
public final class NumberRange {
  private static final Pattern FROM_TO =
      Pattern.compile("(.*[0-9].*?)(?:\\s+-\\s+|\\s*(?:–|\\.\\.)\\s*|\\s+to\\s+)(.*[0-9].*)");

  private NumberRange() {}

  /**
   * The two ends of a range as they were typed.
   *
   * @param last may be the last digits alone, the others being those of the first
   */
  public record Ends(String first, String last) {}

  /**
   * Reads "first - last", with blanks around the line, a dash, two points or "to"; null for others.
   */
  public static @Nullable Ends ends(String text) {
    Matcher ends = FROM_TO.matcher(text.strip());
    return ends.matches() ? new Ends(ends.group(1).strip(), ends.group(2).strip()) : null;
  }

  /**
   * How the numbers of a range begin: the fewest beginnings in E.164 that have all of them and no
   * other of this length. One that is a whole number stands for itself.
   *
   * @return empty when the last is not behind the first, or of another length
   */
  public static List<String> beginnings(PhoneNumber first, PhoneNumber last) {
    List<String> beginnings = new ArrayList<>();
    String begin = first.e164().substring(1);
    if (begin.length() != last.e164().length() - 1) {
      return beginnings;
    }
    long at = Long.parseLong(begin);
    long end = Long.parseLong(last.e164().substring(1));
    while (at <= end) {
      long many = 1;
      int digits = 0;
      while (at % (many * 10) == 0 && at + many * 10 - 1 <= end) {
        many *= 10;
        digits++;
      }
      String number = Long.toString(at);
      beginnings.add("+" + number.substring(0, number.length() - digits));
      at += many;
    }
    return beginnings;
  }
}
