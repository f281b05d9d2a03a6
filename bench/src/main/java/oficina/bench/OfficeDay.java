package oficina.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.PriorityQueue;
import java.util.Random;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.exchange.Exchange;
import oficina.core.history.CallRecords;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;

/**
 * A working day of an office of 500 people at the exchange, with Poisson arrivals and one hour of a
 * million attempts. Time is simulated; how long the exchange takes over each command is not: while
 * it is at work on one, the next has to wait, and a timer that has to wait too long counts as late.
 */
final class OfficeDay {
  private static final int PEOPLE = 500;
  private static final int HOURS = 10;
  private static final int BUSY_HOUR = 4;
  private static final double BUSY_ATTEMPTS = 1_000_000;
  private static final double USUAL_ATTEMPTS = 2_500;
  private static final long LATE_NANOS = 50_000_000;
  private static final Instant OPENS = Instant.parse("2026-06-15T08:00:00Z");
  private static final DeviceId DEVICE = new DeviceId("bench");

  private record Next(long at, long order, Runnable what) {}

  private final Random random = new Random(1926);
  private final PriorityQueue<Next> agenda =
      new PriorityQueue<>(
          (a, b) -> a.at != b.at ? Long.compare(a.at, b.at) : Long.compare(a.order, b.order));
  private final Exchange exchange;
  private final CallRecords records = new CallRecords();
  private long now;
  private long freeAt;
  private long order;
  private int attempts;
  private long commands;
  private long busyNanos;
  private long timers;
  private long late;
  private int mostCalls;
  private long mostMemory;

  OfficeDay() {
    Settings usual = Settings.DEFAULT;
    Settings.Limits limits = new Settings.Limits(300, 6, 16);
    exchange =
        BigOffice.exchange(
            PEOPLE,
            1000,
            Duration.ofSeconds(20),
            new Settings(
                limits,
                usual.times(),
                usual.parking(),
                usual.voicemail(),
                usual.recording(),
                usual.keeping(),
                null,
                usual.pickUp(),
                Settings.DEFAULT.barring()),
            OfficeDay::direct,
            DEVICE,
            OPENS);
  }

  private static PhoneNumber direct(int person) {
    return new PhoneNumber("+44191498" + (1000 + person));
  }

  /** Runs the day and prints what came out. */
  void run() {
    for (int hour = 0; hour < HOURS; hour++) {
      double rate = hour == BUSY_HOUR ? BUSY_ATTEMPTS : USUAL_ATTEMPTS;
      long from = nanos(hour * 3600.0);
      long to = nanos((hour + 1) * 3600.0);
      now = Math.max(now, from);
      arrivals(rate / 3600, to);
      until(to);
    }
    until(nanos((HOURS + 1) * 3600.0));
    Main.row("office day: attempts at the exchange", "%,.0f", attempts);
    Main.row("office day: commands and timers", "%,.0f", commands);
    Main.row("office day: cost of one", "%.2f µs", busyNanos / 1e3 / commands);
    Main.row("office day: calls in progress at most", "%,.0f", mostCalls);
    Main.row("office day: timers later than 50 ms", "%.4f %%", 100.0 * late / timers);
    Main.row("office day: memory in use at most", "%.0f MB", mostMemory / 1e6);
    Main.row(
        "office day: calls left over when all have gone", "%.0f", exchange.state().calls().size());
  }

  private static long nanos(double seconds) {
    return (long) (seconds * 1e9);
  }

  private double exponential(double mean) {
    return -mean * Math.log(1 - random.nextDouble());
  }

  private void after(double seconds, Runnable what) {
    agenda.add(new Next(now + nanos(seconds), ++order, what));
  }

  private void arrivals(double perSecond, long to) {
    double gap = exponential(1 / perSecond);
    if (now + nanos(gap) < to) {
      after(
          gap,
          () -> {
            attempt();
            arrivals(perSecond, to);
          });
    }
  }

  private void until(long end) {
    while (true) {
      Instant due = exchange.nextDue();
      long timer = due == null ? Long.MAX_VALUE : Duration.between(OPENS, due).toNanos();
      Next next = agenda.peek();
      boolean timerFirst = next == null || timer <= next.at;
      long at = timerFirst ? timer : next.at;
      if (at > end) {
        return;
      }
      now = at;
      if (timerFirst) {
        timers++;
        if (freeAt - now > LATE_NANOS) {
          late++;
        }
        command(new OfficeCommand.Tick());
      } else {
        agenda.poll().what.run();
      }
    }
  }

  private void attempt() {
    CallId call = new CallId("c" + ++attempts);
    int to = random.nextInt(PEOPLE);
    if (random.nextInt(5) < 3) {
      command(
          new NetworkCommand.Arrive(
              call, new PhoneNumber("+4477009" + attempts % 100000), direct(to)));
    } else {
      PersonId from = new PersonId(random.nextInt(PEOPLE));
      command(
          new CallCommand.MakeCall(
              call, from, DEVICE, new Dialled.Internal(Integer.toString(1000 + to)), null));
    }
    after(exponential(6), () -> answered(call, new PersonId(to)));
    if (attempts % 20_000 == 0) {
      Runtime runtime = Runtime.getRuntime();
      mostMemory = Math.max(mostMemory, runtime.totalMemory() - runtime.freeMemory());
    }
    mostCalls = Math.max(mostCalls, exchange.state().calls().size());
  }

  private void answered(CallId id, PersonId person) {
    Call call = exchange.state().call(id);
    if (call == null || random.nextInt(5) == 0) {
      return; // nobody there: the timer ends it, or the caller
    }
    command(new CallCommand.Answer(id, person, DEVICE));
    if (random.nextInt(4) == 0) {
      after(exponential(30), () -> command(new CallCommand.Hold(id, person)));
      after(45, () -> command(new CallCommand.Retrieve(id, person)));
    }
    if (random.nextInt(8) == 0) {
      String other = Integer.toString(1000 + random.nextInt(PEOPLE));
      after(
          exponential(40),
          () ->
              command(
                  new SendCommand.PutThrough(id, person, new Dialled.Internal(other), null, null)));
    }
    after(exponential(120), () -> hangUp(id));
  }

  /** Whoever is first in it leaves; again later when that did not end it. */
  private void hangUp(CallId id) {
    Call call = exchange.state().call(id);
    if (call == null) {
      return;
    }
    Connection first = call.connections().get(0);
    PersonId person = first.party().employee();
    command(
        person == null
            ? new NetworkCommand.NetworkClears(id, first.leg())
            : new CallCommand.Clear(id, person));
    after(30, () -> hangUp(id));
  }

  private void command(Command command) {
    long started = System.nanoTime();
    Decision decision = exchange.decide(command, OPENS.plusNanos(now));
    if (decision instanceof Decision.Accepted accepted) {
      for (ExchangeEvent event : accepted.events()) {
        exchange.apply(event);
        records.follow(event, exchange.state()::call);
      }
    }
    long took = System.nanoTime() - started;
    freeAt = Math.max(freeAt, now) + took;
    busyNanos += took;
    commands++;
  }
}
