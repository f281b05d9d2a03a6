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

  /** What is longer is no range, and a line of a file can be very long. */
  private static final int LONGEST = 80;

  /** Both ends have at least the country and a digit of the area in common. */
  private static final int LEAST_SHARED = 4;

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
    if (text.length() > LONGEST) {
      return null;
    }
    Matcher ends = FROM_TO.matcher(text.strip());
    return ends.matches() ? new Ends(ends.group(1).strip(), ends.group(2).strip()) : null;
  }

  /**
   * The last number of a range of which the last digits alone were typed.
   *
   * @return null when they are too many for that, or none
   */
  public static @Nullable PhoneNumber lastOf(PhoneNumber first, String typed) {
    String digits = typed.replaceAll("[^0-9]", "");
    int kept = first.e164().length() - digits.length();
    return digits.isEmpty() || kept < LEAST_SHARED
        ? null
        : new PhoneNumber(first.e164().substring(0, kept) + digits);
  }

  /**
   * How the numbers of a range begin: the fewest beginnings in E.164 that have all of them and no
   * other of this length. One that is a whole number stands for itself.
   *
   * @return empty when the last is not behind the first, or of another length, or one is a short
   *     number
   */
  public static List<String> beginnings(PhoneNumber first, PhoneNumber last) {
    List<String> beginnings = new ArrayList<>();
    String begin = first.e164().substring(1);
    if (first.isShort() || last.isShort() || begin.length() != last.e164().length() - 1) {
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
