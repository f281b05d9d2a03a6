package oficina.server.figures;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.figures.Count;
import oficina.core.figures.HalfHour;
import oficina.core.figures.Summary;
import oficina.core.figures.Wait.Outcome;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.server.figures.FiguresView.MemberFigures;
import oficina.server.figures.FiguresView.Totals;
import oficina.server.office.OfficeData;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Puts together what a line has done on some days. */
@Component
class Figures {
  private final DayStore days;
  private final PresenceStore presence;
  private final OfficeData office;

  Figures(DayStore days, PresenceStore presence, OfficeData office) {
    this.days = days;
    this.presence = presence;
    this.office = office;
  }

  /** What members have done, each read once. */
  private record Work(
      List<DayStore.Worked> served,
      List<DayStore.Worked> finished,
      Map<PersonId, Duration> there) {}

  /** Of these days, both included. */
  FiguresView of(GroupId line, Queue queue, LocalDate first, LocalDate last) {
    Instant from = start(first);
    Instant to = start(last.plusDays(1));
    Duration target = queue.target().within();
    List<Count> waits = days.waits(line, from, to, target);
    Work work =
        new Work(
            days.served(line, from, to),
            days.finished(line, from, to),
            presence.of(line, from, to));
    boolean oneDay = first.equals(last);
    return new FiguresView(
        first,
        last,
        target.toSeconds(),
        queue.target().percent(),
        totals(waits, work),
        HalfHour.of(waits),
        oneDay ? HalfHour.of(weekBefore(line, first, target)) : List.of(),
        members(work));
  }

  private List<Count> weekBefore(GroupId line, LocalDate day, Duration target) {
    LocalDate before = day.minusWeeks(1);
    return days.waits(line, start(before), start(before.plusDays(1)), target);
  }

  private Instant start(LocalDate day) {
    ZoneId zone = office.now().identity().zone();
    return day.atStartOfDay(zone).toInstant();
  }

  private static Totals totals(List<Count> waits, Work work) {
    Summary summary = Summary.of(waits);
    Duration there = work.there().values().stream().reduce(Duration.ZERO, Duration::plus);
    return new Totals(
        summary.offered(),
        summary.ended(Outcome.ANSWERED),
        summary.inTime(),
        summary.ended(Outcome.GIVEN_UP),
        summary.ended(Outcome.SENT_ON),
        summary.ended(Outcome.MESSAGE),
        summary.ended(Outcome.CALLED_BACK),
        summary.ended(Outcome.FAILED),
        seconds(summary.meanWait()),
        summary.longest().toSeconds(),
        seconds(summary.patience()),
        seconds(mean(work.served())),
        seconds(mean(work.finished())),
        occupancy(sum(work.served()).plus(sum(work.finished())), there));
  }

  private static Duration mean(List<DayStore.Worked> worked) {
    return Summary.mean(sum(worked), worked.stream().mapToLong(DayStore.Worked::calls).sum());
  }

  private static Duration sum(List<DayStore.Worked> worked) {
    return worked.stream().map(DayStore.Worked::took).reduce(Duration.ZERO, Duration::plus);
  }

  private static long seconds(Duration time) {
    return Math.round(time.toMillis() / 1000.0);
  }

  /** Null when nobody was there. */
  private static @Nullable Integer occupancy(Duration atWork, Duration there) {
    return there.isZero() ? null : Summary.occupancy(atWork, there);
  }

  private List<MemberFigures> members(Work work) {
    Map<PersonId, DayStore.Worked> served = byPerson(work.served());
    Map<PersonId, DayStore.Worked> finished = byPerson(work.finished());
    Map<PersonId, Duration> there = work.there();
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
