package oficina.core.numbers;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Public numbers one after the other, as a network gives them to an office for direct dialling in
 * (ITU-T E.164, national significant numbers of one length).
 *
 * @param first the lowest
 * @param last the highest, included; of the same length
 */
public record NumberRange(PhoneNumber first, PhoneNumber last) {
  /** More than an office has people and lines. */
  public static final int MOST = 10_000;

  /** A dash alone, or between spaces: one within a number belongs to the number. */
  private static final Pattern BOTH = Pattern.compile("(.+?)(?:\\s*[–—]\\s*|\\s+-\\s+)(.+)");

  private static final Pattern ENDING = Pattern.compile("[0-9]+");

  public NumberRange {
    if (first.isShort() || last.isShort() || first.e164().length() != last.e164().length()) {
      throw new IllegalArgumentException("no range: " + first + " to " + last);
    }
    long size = value(last) - value(first) + 1;
    if (size < 1 || size > MOST) {
      throw new IllegalArgumentException("no range of " + size);
    }
  }

  /**
   * A range as people here write it: one number, or two with a dash between them, of which the
   * second may be only the digits that are others at its end.
   *
   * @return null when it is none
   */
  public static @Nullable NumberRange of(Region region, String typed) {
    Matcher both = BOTH.matcher(typed.strip());
    boolean two = both.matches();
    PhoneNumber first = DialPlan.publicNumber(region, two ? both.group(1) : typed);
    if (first == null) {
      return null;
    }
    try {
      return new NumberRange(first, two ? last(region, first, both.group(2).strip()) : first);
    } catch (IllegalArgumentException e) {
      return null;
    }
  }

  private static PhoneNumber last(Region region, PhoneNumber first, String typed) {
    PhoneNumber whole = DialPlan.publicNumber(region, typed);
    if (whole != null && whole.e164().length() == first.e164().length()) {
      return whole;
    }
    int same = first.e164().length() - typed.length();
    if (!ENDING.matcher(typed).matches() || same < 1) {
      throw new IllegalArgumentException(typed);
    }
    return new PhoneNumber(first.e164().substring(0, same) + typed);
  }

  private static long value(PhoneNumber number) {
    return Long.parseLong(number.e164().substring(1));
  }

  public int size() {
    return (int) (value(last) - value(first) + 1);
  }

  public boolean contains(PhoneNumber number) {
    return number.e164().length() == first.e164().length()
        && number.e164().compareTo(first.e164()) >= 0
        && number.e164().compareTo(last.e164()) <= 0;
  }

  /** All of them, the lowest first. */
  public Stream<PhoneNumber> numbers() {
    return IntStream.range(0, size()).mapToObj(n -> new PhoneNumber("+" + (value(first) + n)));
  }

  /** As it stands in the database. */
  public static NumberRange parse(String stored) {
    List<String> both = List.of(stored.split("-"));
    return new NumberRange(new PhoneNumber(both.get(0)), new PhoneNumber(both.get(1)));
  }

  @Override
  public String toString() {
    return first + "-" + last;
  }
}
