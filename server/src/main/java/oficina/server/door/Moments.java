package oficina.server.door;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;

/** Which times may come in: those of a calendar that people use, which the database keeps too. */
public final class Moments {
  private static final int FIRST_YEAR = 1970;
  private static final int LAST_YEAR = 2999;

  private Moments() {}

  /** Whether a day may come in. */
  public static boolean allowed(LocalDate day) {
    return day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR;
  }

  /**
   * Reads a time (RFC 3339).
   *
   * @throws DateTimeException when it is none, or may not come in
   */
  static Instant instant(String text) {
    Instant time = Instant.parse(text);
    checked(LocalDate.ofInstant(time, ZoneOffset.UTC));
    return time;
  }

  /**
   * Reads a day (RFC 3339).
   *
   * @throws DateTimeException when it is none, or may not come in
   */
  static LocalDate day(String text) {
    return checked(LocalDate.parse(text));
  }

  private static LocalDate checked(LocalDate day) {
    if (!allowed(day)) {
      throw new DateTimeException("no year of this calendar: " + day);
    }
    return day;
  }
}
