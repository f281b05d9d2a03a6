package oficina.core.rules;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * Times of the week, by the clocks of the office: they are what the clock shows, also on the days
 * on which it is put forward or back.
 *
 * @param spans when on which days; the whole day on every day when there are none
 * @param holidays what holds on holidays of the office
 * @param first from which day on; null for no beginning
 * @param last until which day, itself included; null for no end
 */
public record Timetable(
    List<Span> spans, OnHolidays holidays, @Nullable LocalDate first, @Nullable LocalDate last) {

  /** So far ahead somebody is told when it begins or ends. */
  private static final int LOOKS_AHEAD_DAYS = 370;

  public Timetable {
    spans = List.copyOf(spans);
  }

  /**
   * On these days from one time to another.
   *
   * @param to not included; at or before {@code from} it is of the next day, so that midnight ends
   *     a day
   */
  public record Span(Set<DayOfWeek> days, LocalTime from, LocalTime to) {
    public Span {
      days = Set.copyOf(days);
    }

    private boolean overnight() {
      return !to.isAfter(from);
    }
  }

  /** What holds on holidays. */
  public enum OnHolidays {
    /** The same as on any other day. */
    AS_USUAL,
    /** Holidays are not in it. */
    NOT,
    /** Only holidays are in it. */
    ONLY
  }

  /** Whether this moment is in it. */
  public boolean covers(Instant at, ZoneId zone, Set<LocalDate> officeHolidays) {
    return covers(LocalDateTime.ofInstant(at, zone), officeHolidays);
  }

  /** The same of what the clocks of the office show. */
  boolean covers(LocalDateTime there, Set<LocalDate> officeHolidays) {
    LocalDate today = there.toLocalDate();
    LocalTime time = there.toLocalTime();
    if (spans.isEmpty()) {
      return isOn(today, officeHolidays);
    }
    for (Span span : spans) {
      boolean begunToday =
          span.days().contains(today.getDayOfWeek())
              && !time.isBefore(span.from())
              && (span.overnight() || time.isBefore(span.to()));
      if (begunToday && isOn(today, officeHolidays)) {
        return true;
      }
      LocalDate yesterday = today.minusDays(1);
      boolean begunYesterday =
          span.overnight()
              && span.days().contains(yesterday.getDayOfWeek())
              && time.isBefore(span.to());
      if (begunYesterday && isOn(yesterday, officeHolidays)) {
        return true;
      }
    }
    return false;
  }

  private boolean isOn(LocalDate day, Set<LocalDate> officeHolidays) {
    if ((first != null && day.isBefore(first)) || (last != null && day.isAfter(last))) {
      return false;
    }
    return switch (holidays) {
      case AS_USUAL -> true;
      case NOT -> !officeHolidays.contains(day);
      case ONLY -> officeHolidays.contains(day);
    };
  }

  /**
   * The next moment at which it begins, or ends.
   *
   * @param begins whether its beginning is meant
   * @return empty when there is none within a year
   */
  public Optional<Instant> next(
      boolean begins, Instant after, ZoneId zone, Set<LocalDate> officeHolidays) {
    TreeSet<LocalTime> changes = new TreeSet<>(Set.of(LocalTime.MIDNIGHT));
    for (Span span : spans) {
      changes.add(span.from());
      changes.add(span.to());
    }
    LocalDate today = after.atZone(zone).toLocalDate();
    boolean before = covers(after, zone, officeHolidays);
    for (int day = 0; day <= LOOKS_AHEAD_DAYS; day++) {
      for (LocalTime time : changes) {
        Instant at = today.plusDays(day).atTime(time).atZone(zone).toInstant();
        if (!at.isAfter(after)) {
          continue;
        }
        boolean now = covers(at, zone, officeHolidays);
        if (now != before && now == begins) {
          return Optional.of(at);
        }
        before = now;
      }
    }
    return Optional.empty();
  }
}
