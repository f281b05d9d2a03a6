package oficina.core.numbers;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * All public numbers from one to another of the same length (ITU-T E.164), as a network gives them
 * to an office for direct dialling in, or as somebody types them who wants to name many at once.
 *
 * @param first the lowest
 * @param last the highest, included
 */
public record NumberRange(PhoneNumber first, PhoneNumber last) {
  private static final Pattern FROM_TO =
      Pattern.compile("(.*[0-9].*?)(?:\\s+-\\s+|\\s*(?:–|—|\\.\\.)\\s*|\\s+to\\s+)(.*[0-9].*)");

  /** What is longer is no range, and a line of a file can be very long. */
  private static final int LONGEST = 80;

  /** Both ends have at least the country and a digit of the area in common. */
  private static final int LEAST_SHARED = 4;

  public NumberRange {
    if (!isOne(first, last)) {
      throw new IllegalArgumentException("no range: " + first + " to " + last);
    }
  }

  private static boolean isOne(PhoneNumber first, PhoneNumber last) {
    return !first.isShort()
        && !last.isShort()
        && first.e164().length() == last.e164().length()
        && first.e164().compareTo(last.e164()) <= 0;
  }

  /**
   * @return null when the last is not behind the first, or of another length, or one is a short
   *     number
   */
  public static @Nullable NumberRange between(PhoneNumber first, PhoneNumber last) {
    return isOne(first, last) ? new NumberRange(first, last) : null;
  }

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
   * Public numbers as people of a country write them: one, or the first and the last.
   *
   * @return null when they are none
   */
  public static @Nullable NumberRange of(Region region, String typed) {
    Ends ends = ends(typed);
    PhoneNumber first = DialPlan.publicNumber(region, ends == null ? typed : ends.first());
    if (first == null || ends == null) {
      return first == null ? null : new NumberRange(first, first);
    }
    PhoneNumber whole = DialPlan.publicNumber(region, ends.last());
    PhoneNumber last = whole == null ? lastOf(first, ends.last()) : whole;
    return last == null ? null : between(first, last);
  }

  private static long value(PhoneNumber number) {
    return Long.parseLong(number.e164().substring(1));
  }

  public long size() {
    return value(last) - value(first) + 1;
  }

  public boolean contains(PhoneNumber number) {
    return number.e164().length() == first.e164().length()
        && number.e164().compareTo(first.e164()) >= 0
        && number.e164().compareTo(last.e164()) <= 0;
  }

  /** All of them, the lowest first. */
  public Stream<PhoneNumber> numbers() {
    return LongStream.rangeClosed(value(first), value(last))
        .mapToObj(n -> new PhoneNumber("+" + n));
  }

  /**
   * How they begin: the fewest beginnings in E.164 that have all of them and no other of this
   * length. One that is a whole number stands for itself.
   */
  public List<String> beginnings() {
    List<String> beginnings = new ArrayList<>();
    long at = value(first);
    long end = value(last);
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

  /** What {@link #toString} has written. */
  public static NumberRange parse(String stored) {
    String[] ends = stored.split("-");
    return new NumberRange(new PhoneNumber(ends[0]), new PhoneNumber(ends[1]));
  }

  /** As it is kept. */
  @Override
  public String toString() {
    return first + "-" + last;
  }
}
