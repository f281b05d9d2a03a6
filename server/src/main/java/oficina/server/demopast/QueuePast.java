package oficina.server.demopast;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Random;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.exchange.Exchange;
import oficina.core.figures.Fact;
import oficina.core.figures.Facts;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Office;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.server.figures.FactStore;
import oficina.server.figures.PresenceStore;
import oficina.server.figures.PresenceStore.Slot;

/**
 * Eight weeks of calls at the queues of the demo office, with the shape of a day and of a week:
 * made by seed on an exchange of its own, whose events lead to the figures as any others do. Nobody
 * has these calls in their history.
 */
public final class QueuePast {
  private static final int WEEKS = 8;
  private static final int OPENS = 8;

  /** Calls in each hour of a usual day, from when the office opens. */
  private static final double[] A_DAY = {5, 13, 19, 15, 9, 11, 14, 12, 7, 3};

  /** How busy each working day is: Mondays most. */
  private static final double[] A_WEEK = {1.35, 1.0, 0.9, 0.95, 1.15};

  private static final Duration TALK = Duration.ofSeconds(150);
  private static final Duration PATIENCE = Duration.ofSeconds(170);
  private static final PhoneNumber SOMEBODY = new PhoneNumber("+441514960100");

  private record Due(Instant at, long order, Runnable what) {}

  private final Office office;
  private final FactStore store;
  private final PresenceStore presence;
  private final Map<Slot, Integer> present = new HashMap<>();
  private final Exchange exchange;
  private final Facts facts = new Facts();
  private final List<Fact> counted = new ArrayList<>();
  private final PriorityQueue<Due> agenda =
      new PriorityQueue<>(Comparator.comparing(Due::at).thenComparing(Due::order));
  private final Random random = new Random(270);
  private Instant now = Instant.MIN;
  private long order;

  /** Of this office. */
  public QueuePast(Office office, FactStore store, PresenceStore presence) {
    this.office = office;
    this.store = store;
    this.presence = presence;
    exchange = new Exchange(office);
  }

  /** Writes what was there before the day of this instant. */
  public void write(Instant until) {
    ZoneId zone = office.identity().zone();
    LocalDate today = until.atZone(zone).toLocalDate();
    for (LocalDate day = today.minusWeeks(WEEKS); day.isBefore(today); day = day.plusDays(1)) {
      if (day.getDayOfWeek() != DayOfWeek.SATURDAY && day.getDayOfWeek() != DayOfWeek.SUNDAY) {
        plan(day, zone);
      }
    }
    while (!agenda.isEmpty()) {
      next();
    }
    store.write(counted);
    presence.add(present);
  }

  /** Whatever is due first: a timer of the exchange, or something that somebody does. */
  private void next() {
    Instant timer = exchange.nextDue();
    if (timer != null && !timer.isAfter(agenda.peek().at())) {
      now = timer;
      run(new OfficeCommand.Tick());
    } else {
      Due due = agenda.poll();
      now = due.at();
      due.what().run();
    }
  }

  private void plan(LocalDate day, ZoneId zone) {
    Instant opens = day.atTime(OPENS, 0).atZone(zone).toInstant();
    for (GroupId line : office.directions().queues().keySet()) {
      Group group = office.directory().group(line).orElseThrow();
      for (PersonId member : group.members()) {
        at(
            opens,
            () ->
                run(
                    new OfficeCommand.DeviceComes(
                        member, DeviceId.STAND_IN, DeviceKind.TELEPHONE, true)));
        for (int half = 0; half < 2 * A_DAY.length; half++) {
          Instant from = opens.plus(Duration.ofMinutes(30L * half));
          present.put(Slot.at(line, member, from), Slot.whole());
        }
      }
      double busy = A_WEEK[day.getDayOfWeek().getValue() - 1] * group.members().size() / 5;
      for (int hour = 0; hour < A_DAY.length; hour++) {
        arrivals(opens.plus(Duration.ofHours(hour)), A_DAY[hour] * busy, group);
      }
    }
  }

  /** Calls that come independently of each other, so many in this hour on average. */
  private void arrivals(Instant from, double calls, Group line) {
    Instant end = from.plus(Duration.ofHours(1));
    Duration between = Duration.ofMillis(Math.round(3_600_000 / calls));
    for (Instant at = from.plus(some(between)); at.isBefore(end); at = at.plus(some(between))) {
      CallId call = new CallId("queue-past-" + ++order);
      at(at, () -> arrives(call, line));
    }
  }

  private void arrives(CallId call, Group line) {
    run(new NetworkCommand.Arrive(call, SOMEBODY, line.number()));
    at(now.plus(some(PATIENCE)), () -> givesUp(call));
  }

  private void givesUp(CallId id) {
    Call call = exchange.state().call(id);
    if (call != null && call.answered() == null) {
      run(new NetworkCommand.NetworkClears(id, 1));
    }
  }

  private void answers(CallId id, PersonId member) {
    Call call = exchange.state().call(id);
    if (call != null && call.of(member) != null && call.of(member).rings()) {
      run(new CallCommand.Answer(id, member, DeviceId.STAND_IN));
      at(now.plus(some(TALK)), () -> run(new CallCommand.Clear(id, member)));
    }
  }

  private void at(Instant when, Runnable what) {
    agenda.add(new Due(when, ++order, what));
  }

  /** A time around this one, exponentially distributed. */
  private Duration some(Duration mean) {
    double times = -Math.log(1 - random.nextDouble());
    return Duration.ofMillis(Math.round(mean.toMillis() * times));
  }

  private void run(Command command) {
    if (exchange.decide(command, now) instanceof Decision.Accepted accepted) {
      for (ExchangeEvent event : accepted.events()) {
        counted.addAll(facts.follow(event, exchange.state()));
        exchange.apply(event);
        rings(event);
      }
    }
  }

  /** Whoever is rung picks up after a few seconds, most of the time. */
  private void rings(ExchangeEvent event) {
    Call call = event.inCall() == null ? null : exchange.state().call(event.inCall());
    if (call == null) {
      return;
    }
    for (Connection connection : call.connections()) {
      PersonId member = connection.party().employee();
      if (member != null && connection.rings() && connection.since().equals(now)) {
        at(now.plusSeconds(2 + random.nextInt(9)), () -> answers(call.id(), member));
      }
    }
  }
}
