package oficina.server.figures;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.figures.Wait.Outcome;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.server.figures.FiguresView.HalfHour;
import oficina.server.figures.FiguresView.MemberFigures;
import oficina.server.figures.FiguresView.Totals;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Puts together what a line has done on some days. */
@Component
class Figures {
  private static final int A_DAY = 48;

  private final DayStore days;
  private final PresenceStore presence;
  private final OfficeData office;

  Figures(DayStore days, PresenceStore presence, OfficeData office) {
    this.days = days;
    this.presence = presence;
    this.office = office;
  }

  /** Of these days, both included. */
  FiguresView of(GroupId line, Queue queue, LocalDate first, LocalDate last) {
    Instant from = start(first);
    Instant to = start(last.plusDays(1));
    Duration target = queue.target().within();
    List<DayStore.Counted> waits = days.waits(line, from, to, target);
    boolean oneDay = first.equals(last);
    return new FiguresView(
        first,
        last,
        target.toSeconds(),
        queue.target().percent(),
        totals(line, from, to, waits),
        halfHours(waits),
        oneDay ? halfHours(weekBefore(line, first, target)) : List.of(),
        members(line, from, to));
  }

  private List<DayStore.Counted> weekBefore(GroupId line, LocalDate day, Duration target) {
    LocalDate before = day.minusWeeks(1);
    return days.waits(line, start(before), start(before.plusDays(1)), target);
  }

  private Instant start(LocalDate day) {
    ZoneId zone = office.now().identity().zone();
    return day.atStartOfDay(zone).toInstant();
  }

  private Totals totals(GroupId line, Instant from, Instant to, List<DayStore.Counted> waits) {
    Map<Outcome, Long> calls = new EnumMap<>(Outcome.class);
    Map<Outcome, Long> waited = new EnumMap<>(Outcome.class);
    long inTime = 0;
    long longest = 0;
    for (DayStore.Counted each : waits) {
      calls.merge(each.outcome(), each.calls(), Long::sum);
      waited.merge(each.outcome(), each.waited().toMillis(), Long::sum);
      inTime += each.outcome() == Outcome.ANSWERED ? each.inTime() : 0;
      longest = Math.max(longest, each.longest().toMillis());
    }
    long offered = calls.values().stream().mapToLong(Long::longValue).sum();
    long all = waited.values().stream().mapToLong(Long::longValue).sum();
    List<DayStore.Worked> served = days.served(line, from, to);
    List<DayStore.Worked> finished = days.finished(line, from, to);
    long givenUp = calls.getOrDefault(Outcome.GIVEN_UP, 0L);
    return new Totals(
        offered,
        calls.getOrDefault(Outcome.ANSWERED, 0L),
        inTime,
        givenUp,
        calls.getOrDefault(Outcome.SENT_ON, 0L),
        calls.getOrDefault(Outcome.MESSAGE, 0L),
        calls.getOrDefault(Outcome.CALLED_BACK, 0L),
        calls.getOrDefault(Outcome.FAILED, 0L),
        mean(all, offered),
        longest / 1000,
        mean(waited.getOrDefault(Outcome.GIVEN_UP, 0L), givenUp),
        mean(served),
        mean(finished),
        occupancy(
            sum(served).plus(sum(finished)),
            presence.of(line, from, to).values().stream().reduce(Duration.ZERO, Duration::plus)));
  }

  /** How much of the time they were there they were at work; null when they were not. */
  private static @Nullable Integer occupancy(Duration atWork, Duration there) {
    return there.isZero()
        ? null
        : (int) Math.min(100, Math.round(100.0 * atWork.toMillis() / there.toMillis()));
  }

  private static Duration sum(List<DayStore.Worked> worked) {
    return worked.stream().map(DayStore.Worked::took).reduce(Duration.ZERO, Duration::plus);
  }

  private static long mean(List<DayStore.Worked> worked) {
    return mean(sum(worked).toMillis(), worked.stream().mapToLong(DayStore.Worked::calls).sum());
  }

  private static long mean(long milliseconds, long of) {
    return of == 0 ? 0 : Math.round(milliseconds / 1000.0 / of);
  }

  private static List<HalfHour> halfHours(List<DayStore.Counted> waits) {
    long[][] all = new long[A_DAY][4];
    for (DayStore.Counted each : waits) {
      long[] slot = all[(int) Math.min(A_DAY - 1, each.slot() % A_DAY)];
      switch (each.outcome()) {
        case ANSWERED -> {
          slot[0] += each.inTime();
          slot[1] += each.calls() - each.inTime();
        }
        case GIVEN_UP -> slot[2] += each.calls();
        case SENT_ON, MESSAGE, CALLED_BACK, FAILED -> slot[3] += each.calls();
      }
    }
    List<HalfHour> halfHours = new ArrayList<>();
    for (int slot = 0; slot < A_DAY; slot++) {
      long[] each = all[slot];
      if (each[0] + each[1] + each[2] + each[3] > 0) {
        halfHours.add(new HalfHour(slot, each[0], each[1], each[2], each[3]));
      }
    }
    return halfHours;
  }

  private List<MemberFigures> members(GroupId line, Instant from, Instant to) {
    Map<PersonId, DayStore.Worked> served = byPerson(days.served(line, from, to));
    Map<PersonId, DayStore.Worked> finished = byPerson(days.finished(line, from, to));
    Map<PersonId, Duration> there = presence.of(line, from, to);
    Set<PersonId> all = new HashSet<>(served.keySet());
    all.addAll(finished.keySet());
    all.addAll(there.keySet());
    return all.stream()
        .map(person -> member(person, served.get(person), finished.get(person), there.get(person)))
        .sorted(Comparator.comparing(MemberFigures::name))
        .toList();
  }

  private static Map<PersonId, DayStore.Worked> byPerson(List<DayStore.Worked> worked) {
    Map<PersonId, DayStore.Worked> all = new HashMap<>();
    worked.forEach(each -> all.put(each.person(), each));
    return all;
  }

  private MemberFigures member(
      PersonId person,
      DayStore.@Nullable Worked served,
      DayStore.@Nullable Worked finished,
      @Nullable Duration there) {
    Duration talked = served == null ? Duration.ZERO : served.took();
    Duration wrote = finished == null ? Duration.ZERO : finished.took();
    Duration present = there == null ? Duration.ZERO : there;
    return new MemberFigures(
        person.value(),
        office.now().nameOf(person),
        served == null ? 0 : served.calls(),
        talked.toSeconds(),
        wrote.toSeconds(),
        present.toSeconds(),
        occupancy(talked.plus(wrote), present));
  }
}
