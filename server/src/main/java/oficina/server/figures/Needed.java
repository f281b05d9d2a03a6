package oficina.server.figures;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Comparator;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import oficina.core.figures.Staffing;
import oficina.core.figures.Summary;
import oficina.core.figures.Wait.Outcome;
import oficina.core.people.GroupId;
import oficina.core.queueing.Queue;
import oficina.server.figures.NeededView.Time;
import oficina.server.figures.NeededView.With;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** From the traffic of the last weeks: how many people and lines are needed, and at which hour. */
@Component
class Needed {
  private static final int WEEKS = 8;

  private final DayStore days;
  private final OfficeData office;
  private final HandlingTimes times;

  Needed(DayStore days, OfficeData office, HandlingTimes times) {
    this.days = days;
    this.office = office;
    this.times = times;
  }

  /** A half hour of the week, in the order of the week. */
  private record Hour(int weekday, int slot) implements Comparable<Hour> {
    @Override
    public int compareTo(Hour other) {
      return Comparator.comparingInt(Hour::weekday)
          .thenComparingInt(Hour::slot)
          .compare(this, other);
    }
  }

  /**
   * At one half hour of the week.
   *
   * @param weekday 1 is Monday; null for whenever most calls come
   * @return null as long as nothing can be said
   */
  @Nullable NeededView of(
      GroupId line,
      Queue queue,
      LocalDate today,
      @Nullable Integer weekday,
      @Nullable Integer slot) {
    ZoneId zone = office.now().identity().zone();
    Instant from = today.minusWeeks(WEEKS).atStartOfDay(zone).toInstant();
    Instant to = today.atStartOfDay(zone).toInstant();
    Map<Hour, Long> calls = new TreeMap<>();
    for (DayStore.Arrived each : days.arrivals(line, from, to)) {
      ZonedDateTime at = each.began().atZone(zone);
      calls.merge(hour(at.getDayOfWeek(), at), each.calls(), Long::sum);
    }
    Duration handling = times.of(line);
    if (calls.isEmpty() || handling == null) {
      return null;
    }
    Hour wanted =
        weekday == null || slot == null
            ? calls.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey()
            : new Hour(weekday, slot);
    double mean = calls.getOrDefault(wanted, 0L) / (double) WEEKS;
    Staffing staffing = new Staffing(2 * mean, handling, patience(line, queue, from, to));
    int needed = staffing.needed(queue.target());
    return new NeededView(
        wanted.weekday(),
        wanted.slot(),
        WEEKS,
        mean,
        handling.toSeconds(),
        needed,
        staffing.neededImpatient(queue.target()),
        Staffing.lines(staffing.traffic()),
        IntStream.rangeClosed(Math.max(1, needed - 1), Math.max(1, needed - 1) + 2)
            .mapToObj(people -> with(staffing.with(people, queue.target())))
            .toList(),
        calls.entrySet().stream()
            .map(
                each ->
                    new Time(
                        each.getKey().weekday(),
                        each.getKey().slot(),
                        each.getValue() / (double) WEEKS))
            .toList());
  }

  private static Hour hour(DayOfWeek day, ZonedDateTime at) {
    return new Hour(day.getValue(), at.getHour() * 2 + at.getMinute() / 30);
  }

  private static With with(Staffing.With with) {
    Long wait = Double.isInfinite(with.meanWait()) ? null : Math.round(with.meanWait());
    return new With(with.people(), Math.round(100 * with.within()), wait);
  }

  /**
   * After how long callers give up: all that was waited, by each who gave up (maximum likelihood).
   */
  private @Nullable Duration patience(GroupId line, Queue queue, Instant from, Instant to) {
    Summary summary = Summary.of(days.waits(line, from, to, queue.target().within()));
    long givenUp = summary.ended(Outcome.GIVEN_UP);
    long waited = summary.waited().toMillis();
    return givenUp == 0 || waited == 0 ? null : Duration.ofMillis(waited / givenUp);
  }
}
