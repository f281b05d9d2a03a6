package oficina.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Random;
import java.util.Set;
import oficina.core.blocking.BlockList;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.ReachEvent;
import oficina.core.exchange.Exchange;
import oficina.core.figures.Fact;
import oficina.core.figures.Facts;
import oficina.core.figures.Wait;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.queueing.Erlang;
import oficina.core.queueing.Impatience;
import oficina.core.queueing.Queue;
import oficina.core.rules.Opening;
import oficina.core.state.Call;

/**
 * Whether people really wait at the exchange as long as the theory of waiting lines says, and how
 * soon somebody who becomes free is rung when very many wait.
 */
final class Queueing {
  private static final int CALLS = Integer.getInteger("oficina.bench.queue-calls", 1_000_000);
  private static final int BATCHES = 100;
  private static final Duration HANDLING = Duration.ofSeconds(120);
  private static final DeviceId DEVICE = new DeviceId("bench");
  private static final PhoneNumber SOMEBODY = new PhoneNumber("+441514960100");
  private static final Instant START = Instant.parse("2026-06-15T08:00:00Z");

  /** The theory knows of no call that is lost because no line is left. */
  private static final Settings MANY_LINES =
      new Settings(
          new Settings.Limits(Integer.MAX_VALUE, 6, 16),
          Settings.DEFAULT.times(),
          Settings.DEFAULT.parking(),
          Settings.DEFAULT.voicemail(),
          Settings.DEFAULT.recording(),
          Settings.DEFAULT.keeping(),
          null,
          Settings.PickUp.ANYBODY,
          Settings.DEFAULT.barring());

  private record Due(Instant at, long order, Runnable what) {}

  private final Exchange exchange;
  private final Facts facts = new Facts();
  private final PriorityQueue<Due> agenda =
      new PriorityQueue<>(Comparator.comparing(Due::at).thenComparing(Due::order));
  private final Random random = new Random(11);
  private final Office office;
  private Instant now = START;
  private long order;
  private int ended;
  private final double[] waited = new double[BATCHES];
  private final double[] givenUp = new double[BATCHES];

  private Queueing(int queues, int members) {
    office = office(queues, members);
    exchange = new Exchange(office);
    for (Person person : office.directory().people()) {
      run(new OfficeCommand.DeviceComes(person.id(), DEVICE, DeviceKind.TELEPHONE, true));
    }
  }

  static void measure() {
    agrees("nobody gives up (Erlang C)", 5, 4.2, null);
    agrees("some give up (Erlang A)", 8, 8.5, Duration.ofSeconds(90));
    free();
  }

  /** Calls that come and last as the theory has it, one after the other, through the exchange. */
  private static void agrees(String what, int members, double traffic, Duration patience) {
    Queueing queueing = new Queueing(1, members);
    queueing.play(HANDLING.toMillis() / traffic, patience);
    Impatience impatient =
        patience == null ? null : new Impatience(members, traffic, HANDLING, patience);
    double expected =
        impatient == null ? Erlang.meanWait(members, traffic, HANDLING) : impatient.meanWait();
    row(what + ", mean wait of " + CALLS + " calls", queueing.waited, expected, "%.2f s");
    if (impatient != null) {
      row(what + ", share that gives up", queueing.givenUp, impatient.givesUp(), "%.4f");
    }
  }

  /** Batch means: waits of callers next to each other have much in common. */
  private static void row(String what, double[] batches, double expected, String format) {
    double each = CALLS / (double) BATCHES;
    double mean = Arrays.stream(batches).sum() / CALLS;
    double squares =
        Arrays.stream(batches).map(sum -> Math.pow(sum / each - mean, 2)).sum() / (BATCHES - 1);
    double error = Math.sqrt(squares / BATCHES);
    Main.row(what, format, mean);
    Main.row("the same by the formula", format, expected);
    Main.row("standard errors apart (aim: at most 3)", "%.1f", Math.abs(mean - expected) / error);
  }

  private void play(double between, Duration patience) {
    arrives(between, patience);
    while (ended < CALLS) {
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
  }

  private void arrives(double between, Duration patience) {
    CallId call = new CallId("c" + ++order);
    run(new NetworkCommand.Arrive(call, SOMEBODY, number(0)));
    if (patience != null) {
      later(patience.toMillis(), () -> givesUp(call));
    }
    later(between, () -> arrives(between, patience));
  }

  private void givesUp(CallId id) {
    Call call = exchange.state().call(id);
    if (call != null && call.answered() == null) {
      run(new NetworkCommand.NetworkClears(id, 1));
    }
  }

  /** After an exponentially distributed time. */
  private void later(double meanMillis, Runnable what) {
    double millis = -Math.log(1 - random.nextDouble()) * meanMillis;
    agenda.add(new Due(now.plusNanos(Math.round(millis * 1e6)), ++order, what));
  }

  private List<ExchangeEvent> run(Command command) {
    if (!(exchange.decide(command, now) instanceof Decision.Accepted accepted)) {
      return List.of();
    }
    for (ExchangeEvent event : accepted.events()) {
      facts.follow(event, exchange.state()).forEach(this::count);
      exchange.apply(event);
    }
    for (ExchangeEvent event : accepted.events()) {
      if (event instanceof ReachEvent.Delivered rings && agendaRuns()) {
        PersonId member = rings.party().employee();
        run(new CallCommand.Answer(rings.call(), member, DEVICE));
        later(HANDLING.toMillis(), () -> run(new CallCommand.Clear(rings.call(), member)));
      }
    }
    return accepted.events();
  }

  private boolean agendaRuns() {
    return office.directory().groups().size() == 1;
  }

  private void count(Fact fact) {
    if (fact instanceof Wait wait && ended < CALLS) {
      int batch = (int) ((long) ended++ * BATCHES / CALLS);
      waited[batch] += wait.waited().toNanos() / 1e9;
      givenUp[batch] += wait.outcome() == Wait.Outcome.GIVEN_UP ? 1 : 0;
    }
  }

  /** A thousand wait in twenty queues of twenty-five members; each who becomes free is rung. */
  private static void free() {
    Queueing queueing = new Queueing(20, 25);
    List<CallId> served = new ArrayList<>();
    for (int queue = 0; queue < 20; queue++) {
      for (int caller = 0; caller < 75; caller++) {
        CallId call = new CallId("w" + queue + "-" + caller);
        for (ExchangeEvent event :
            queueing.run(new NetworkCommand.Arrive(call, SOMEBODY, number(queue)))) {
          if (event instanceof ReachEvent.Delivered rings) {
            queueing.run(new CallCommand.Answer(call, rings.party().employee(), DEVICE));
            served.add(call);
          }
        }
        queueing.now = queueing.now.plusMillis(10);
      }
    }
    long[] took = new long[served.size()];
    for (int i = 0; i < took.length; i++) {
      Call call = queueing.exchange.state().call(served.get(i));
      PersonId member = call.place().by();
      long begun = System.nanoTime();
      queueing.exchange.decide(new CallCommand.Clear(call.id(), member), queueing.now);
      took[i] = System.nanoTime() - begun;
      List<ExchangeEvent> events = queueing.run(new CallCommand.Clear(call.id(), member));
      if (events.stream().noneMatch(ReachEvent.Delivered.class::isInstance)) {
        throw new IllegalStateException("nobody is rung: " + events);
      }
    }
    Arrays.sort(took);
    String what = "a member becomes free, 1,000 wait in 20 queues of 25: until the next is rung";
    Main.row(what + ", p50", "%.0f us", took[took.length / 2] / 1e3);
    Main.row("the same, p95 (aim: at most 1,000)", "%.0f us", took[took.length * 95 / 100] / 1e3);
  }

  private static PhoneNumber number(int queue) {
    return new PhoneNumber("+4419149802" + (10 + queue));
  }

  private static Office office(int queues, int members) {
    List<Person> people = new ArrayList<>();
    List<Group> groups = new ArrayList<>();
    Map<GroupId, Queue> keeps = new HashMap<>();
    for (int queue = 0; queue < queues; queue++) {
      List<PersonId> own = new ArrayList<>();
      for (int member = 0; member < members; member++) {
        PersonId person = new PersonId(1 + queue * members + member);
        own.add(person);
        String extension = Long.toString(1_000 + person.value());
        people.add(BigOffice.person(person, extension, Duration.ofSeconds(20), null));
      }
      GroupId line = new GroupId(queue + 1L);
      groups.add(
          new Group(
              line,
              "Queue " + queue,
              Integer.toString(600 + queue),
              number(queue),
              own,
              Duration.ofSeconds(30),
              /* mailbox= */ false));
      keeps.put(line, queue());
    }
    return BigOffice.office(
        new Directory(people, groups),
        MANY_LINES,
        new Directions(
            Map.of(),
            BlockList.EMPTY,
            Opening.always(ZoneId.of("UTC")),
            (number, viewer) -> Set.of(),
            keeps,
            /* showsCaller= */ false));
  }

  private static Queue queue() {
    return new Queue(
        Queue.Order.LONGEST_IDLE,
        List.of(),
        Duration.ofDays(30),
        1_000_000,
        Duration.ZERO,
        List.of(),
        Set.of(),
        Queue.Told.NOTHING,
        Queue.Choices.NONE,
        Queue.DEFAULT.target(),
        Queue.Shown.NOTHING);
  }
}
