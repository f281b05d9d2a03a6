package oficina.bench;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import oficina.core.blocking.Block;
import oficina.core.blocking.BlockList;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.exchange.Exchange;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Reach;
import oficina.core.routing.Router;
import oficina.core.routing.Walk;
import oficina.core.rules.CallRules;
import oficina.core.rules.Caller;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import oficina.core.rules.Timetable;

/** How fast it is decided where a call goes, with many rules and very many blocked callers. */
final class Routing {
  private static final int PEOPLE = 500;
  private static final int RULES_EACH = 20;
  private static final int BLOCKED = 100_000;
  private static final int FIRST_EXTENSION = 1_000;
  private static final int DECISIONS = 2_000_000;
  private static final Instant NOW = Instant.parse("2026-06-15T09:00:00Z");

  private final Random random = new Random(3);

  private Routing() {}

  static void measure() {
    new Routing().measured();
  }

  private void measured() {
    Exchange exchange =
        BigOffice.exchange(
            PEOPLE,
            FIRST_EXTENSION,
            Duration.ofSeconds(20),
            Settings.DEFAULT,
            n -> null,
            new DeviceId("bench"),
            NOW);
    Office office = exchange.office().with(directions(exchange.office()));
    decide(office); // until the machine has made the code fast
    long begun = System.nanoTime();
    int rings = decide(office);
    double seconds = (System.nanoTime() - begun) / 1e9;
    Main.row(
        "routing with " + PEOPLE + " people of " + RULES_EACH + " rules, " + BLOCKED + " blocked",
        "%.0f decisions/s on one core (aim 500000)",
        DECISIONS / seconds);
    Main.row("  of which ring somewhere", "%.0f %%", 100.0 * rings / DECISIONS);
  }

  private int decide(Office office) {
    Router router = new Router(office, new Busy());
    BlockList blocks = office.directions().blocks();
    int rings = 0;
    for (int i = 0; i < DECISIONS; i++) {
      PhoneNumber from = number(i % (2 * BLOCKED));
      PersonId called = new PersonId(i % PEOPLE);
      if (blocks.find(from, called) == null) {
        Caller caller = new Caller(new Party.Outside(from), Set.of());
        Walk walk = new Walk(router, caller, NOW, List.of(), 0, /* sentOn= */ false);
        rings += walk.to(new Party.Employee(called)).route().refuses() ? 0 : 1;
      }
    }
    return rings;
  }

  /** Every fifth is on a call, every seventh does not want to be disturbed. */
  private record Busy() implements Reach {
    @Override
    public boolean hasDevice(PersonId person) {
      return true;
    }

    @Override
    public boolean takesCalls(PersonId person) {
      return person.value() % 5 != 0;
    }

    @Override
    public boolean onCall(PersonId person) {
      return !takesCalls(person);
    }

    @Override
    public boolean hasRoom(PersonId person) {
      return true;
    }

    @Override
    public boolean takesPart(PersonId person, GroupId line) {
      return true;
    }

    @Override
    public int waitingAt(GroupId line) {
      return 0;
    }

    @Override
    public Status.Kind status(PersonId person) {
      return person.value() % 7 == 0 ? Status.Kind.DO_NOT_DISTURB : Status.Kind.FREE;
    }
  }

  private static PhoneNumber number(int n) {
    return new PhoneNumber("+44" + (2_000_000_000L + n * 7L));
  }

  private Directions directions(Office office) {
    Map<Party, CallRules> rules = new HashMap<>();
    for (int i = 0; i < PEOPLE; i++) {
      List<Rule> all = new ArrayList<>();
      for (int j = 0; j < RULES_EACH; j++) {
        all.add(rule(j));
      }
      rules.put(new Party.Employee(new PersonId(i)), new CallRules(all, List.of(), null));
    }
    List<Block> blocks = new ArrayList<>();
    for (int i = 0; i < BLOCKED; i++) {
      PersonId owner = i % 2 == 0 ? null : new PersonId(i % PEOPLE);
      blocks.add(
          new Block(
              i, owner, Block.Kind.NUMBER, number(i).e164(), Block.Answer.BUSY, /* note= */ ""));
    }
    Directions usual = office.directions();
    return new Directions(
        rules,
        new BlockList(blocks),
        usual.opening(),
        usual.book(),
        usual.queues(),
        /* showsCaller= */ false);
  }

  private Rule rule(int n) {
    Situation when = Situation.values()[random.nextInt(Situation.values().length)];
    Set<PhoneNumber> chosen = Set.of(number(random.nextInt(BLOCKED)));
    Callers callers =
        n % 4 == 0 ? Callers.ANYBODY : new Callers(Callers.Kind.CHOSEN, Set.of(), chosen, Set.of());
    Timetable hours =
        new Timetable(
            List.of(
                new Timetable.Span(
                    EnumSet.range(DayOfWeek.MONDAY, DayOfWeek.FRIDAY),
                    LocalTime.of(random.nextInt(12), 0),
                    LocalTime.of(12 + random.nextInt(12), 0))),
            Timetable.OnHolidays.NOT,
            null,
            null);
    Party to = new Party.Employee(new PersonId(random.nextInt(PEOPLE)));
    return new Rule(n, when, callers, n % 2 == 0 ? hours : null, null, Destination.to(to));
  }
}
