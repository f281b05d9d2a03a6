package oficina.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import oficina.core.rules.Timetable.OnHolidays;
import oficina.core.rules.Timetable.Span;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Times of the week by the clocks of the office: midnight, holidays, clocks put forward and back.
 */
class TimetableTest {
  private static final ZoneId LONDON = ZoneId.of("Europe/London");
  private static final Set<DayOfWeek> WEEK = EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY);
  private static final LocalDate MONDAY_OFF = LocalDate.of(2026, 8, 31);

  private static Timetable of(String from, String to, OnHolidays holidays) {
    Span span = new Span(WEEK, LocalTime.parse(from), LocalTime.parse(to));
    return new Timetable(List.of(span), holidays, null, null);
  }

  private static Instant at(String local) {
    return LocalDateTime.parse(local).atZone(LONDON).toInstant();
  }

  @ParameterizedTest
  @CsvSource({
    "08:00, 17:00, 2026-06-15T07:59, false",
    "08:00, 17:00, 2026-06-15T08:00, true",
    "08:00, 17:00, 2026-06-15T16:59, true",
    "08:00, 17:00, 2026-06-15T17:00, false",
    "08:00, 17:00, 2026-06-14T12:00, false",
    "00:00, 00:00, 2026-06-15T00:00, true",
    "00:00, 00:00, 2026-06-19T23:59, true",
    "00:00, 00:00, 2026-06-20T00:00, false",
    "22:00, 06:00, 2026-06-15T21:59, false",
    "22:00, 06:00, 2026-06-15T23:00, true",
    "22:00, 06:00, 2026-06-16T05:59, true",
    "22:00, 06:00, 2026-06-16T06:00, false",
    "22:00, 06:00, 2026-06-20T05:00, true",
    "22:00, 06:00, 2026-06-15T05:00, false",
    "08:00, 17:00, 2026-08-31T12:00, true"
  })
  void a_moment_is_in_it_or_not(String from, String to, String moment, boolean covered) {
    assertThat(of(from, to, OnHolidays.AS_USUAL).covers(at(moment), LONDON, Set.of(MONDAY_OFF)))
        .isEqualTo(covered);
  }

  @Test
  void holidays_are_as_usual_or_not_in_it_or_alone_in_it() {
    Set<LocalDate> holidays = Set.of(MONDAY_OFF);
    Instant holiday = at("2026-08-31T12:00");
    Instant tuesday = at("2026-09-01T12:00");
    assertThat(of("08:00", "17:00", OnHolidays.NOT).covers(holiday, LONDON, holidays)).isFalse();
    assertThat(of("08:00", "17:00", OnHolidays.NOT).covers(tuesday, LONDON, holidays)).isTrue();
    assertThat(of("08:00", "17:00", OnHolidays.ONLY).covers(holiday, LONDON, holidays)).isTrue();
    assertThat(of("08:00", "17:00", OnHolidays.ONLY).covers(tuesday, LONDON, holidays)).isFalse();
    Timetable overnight = of("22:00", "06:00", OnHolidays.NOT);
    assertThat(overnight.covers(at("2026-08-31T23:00"), LONDON, holidays)).isFalse();
    assertThat(overnight.covers(at("2026-09-01T05:00"), LONDON, holidays))
        .as("of the night that began on a holiday")
        .isFalse();
  }

  @Test
  void from_one_day_to_another() {
    LocalDate first = LocalDate.of(2026, 6, 16);
    Timetable two = new Timetable(List.of(), OnHolidays.AS_USUAL, first, first.plusDays(1));
    assertThat(two.covers(at("2026-06-15T23:59"), LONDON, Set.of())).isFalse();
    assertThat(two.covers(at("2026-06-16T00:00"), LONDON, Set.of())).isTrue();
    assertThat(two.covers(at("2026-06-17T23:59"), LONDON, Set.of())).isTrue();
    assertThat(two.covers(at("2026-06-18T00:00"), LONDON, Set.of())).isFalse();
  }

  @Test
  void it_begins_and_ends_by_the_clock_also_when_that_is_put_forward_or_back() {
    Timetable early =
        new Timetable(
            List.of(
                new Span(EnumSet.allOf(DayOfWeek.class), LocalTime.of(1, 30), LocalTime.of(9, 0))),
            OnHolidays.AS_USUAL,
            null,
            null);
    // 29 March 2026: after 0:59 it is 2:00. What begins at 1:30 begins then.
    assertThat(early.covers(Instant.parse("2026-03-29T00:59:59Z"), LONDON, Set.of())).isFalse();
    assertThat(early.covers(Instant.parse("2026-03-29T01:00:00Z"), LONDON, Set.of())).isTrue();
    assertThat(early.next(true, Instant.parse("2026-03-28T12:00:00Z"), LONDON, Set.of()))
        .hasValueSatisfying(
            begins ->
                assertThat(early.covers(begins, LONDON, Set.of())).as("at %s", begins).isTrue());
    // 25 October 2026: 1:30 comes twice, and nine o'clock is GMT again.
    assertThat(early.next(false, Instant.parse("2026-10-25T03:00:00Z"), LONDON, Set.of()))
        .contains(Instant.parse("2026-10-25T09:00:00Z"));
    assertThat(early.next(false, Instant.parse("2026-10-24T03:00:00Z"), LONDON, Set.of()))
        .contains(Instant.parse("2026-10-24T08:00:00Z"));
  }

  @Test
  void the_next_opening_leaves_out_nights_weekends_and_holidays() {
    Timetable hours = of("08:00", "17:00", OnHolidays.NOT);
    Set<LocalDate> holidays = Set.of(MONDAY_OFF);
    assertThat(hours.next(true, at("2026-08-28T18:00"), LONDON, holidays))
        .contains(at("2026-09-01T08:00"));
    assertThat(hours.next(false, at("2026-09-01T09:00"), LONDON, holidays))
        .contains(at("2026-09-01T17:00"));
    Timetable never = new Timetable(List.of(), OnHolidays.ONLY, null, null);
    assertThat(never.next(true, at("2026-09-01T09:00"), LONDON, Set.of())).isEmpty();
  }
}
