package oficina.core.exchange;

import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.EVERYBODY;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.FRONT_DESK;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.TOMASZ;

import java.time.DayOfWeek;
import java.time.Duration;
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
import oficina.core.call.Party;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import oficina.core.rules.Timetable;

/** Decisions about calls that nobody would make, among them some that somebody would. */
public final class RandomRules {
  private final Random random;
  private long ids;

  public RandomRules(Random random) {
    this.random = random;
  }

  /** The office with other decisions of all its people and lines. */
  public Office office(Office office) {
    Map<Party, CallRules> rules = new HashMap<>();
    for (Party owner : owners()) {
      if (random.nextInt(3) > 0) {
        rules.put(owner, rules(owner));
      }
    }
    Directions usual = office.directions();
    return office.with(
        new Directions(
            rules, blocks(), usual.opening(), usual.book(), queues(), random.nextBoolean()));
  }

  private Map<GroupId, Queue> queues() {
    Map<GroupId, Queue> queues = new HashMap<>();
    for (GroupId line : List.of(FRONT_DESK, FREIGHT)) {
      if (random.nextInt(3) > 0) {
        queues.put(line, queue());
      }
    }
    return queues;
  }

  /** A line that keeps callers, in one of the ways there are. */
  public Queue queue() {
    List<Queue.Preference> preferences = new ArrayList<>();
    for (Queue.Why why : Queue.Why.values()) {
      preferences.add(new Queue.Preference(why, "big", random.nextInt(3)));
    }
    boolean asks = random.nextInt(4) == 0;
    return new Queue(
        any(List.of(Queue.Order.values())),
        List.of(
            new Queue.Level(INES, Duration.ofSeconds(15)),
            new Queue.Level(TOMASZ, Duration.ofSeconds(40))),
        Duration.ofSeconds(30 + random.nextInt(120)),
        1 + random.nextInt(5),
        Duration.ofSeconds(random.nextInt(3) * 10L),
        preferences,
        Set.of(INES),
        new Queue.Told(false, false, null, asks ? new Queue.Question("booking", 6) : null),
        new Queue.Choices(true, random.nextBoolean(), random.nextBoolean()),
        Queue.DEFAULT.target(),
        Queue.Shown.NOTHING);
  }

  private static List<Party> owners() {
    List<Party> owners = new ArrayList<>();
    EVERYBODY.forEach(person -> owners.add(new Party.Employee(person)));
    owners.add(new Party.Members(FRONT_DESK));
    owners.add(new Party.Members(FREIGHT));
    return owners;
  }

  public CallRules rules(Party owner) {
    List<Rule> rules = new ArrayList<>();
    for (int i = random.nextInt(5); i > 0; i--) {
      rules.add(
          new Rule(
              ++ids,
              any(List.of(Situation.values())),
              callers(),
              random.nextInt(3) == 0 ? hours() : null,
              null,
              destination(owner)));
    }
    List<CallRules.Ring> rings = new ArrayList<>();
    for (int i = random.nextInt(6) - 3; i > 0; i--) {
      List<Party> who = new ArrayList<>(List.of(owner, any(owners())));
      if (random.nextBoolean()) {
        who.add(new Party.Outside(MARISOL));
      }
      rings.add(new CallRules.Ring(who, Duration.ofSeconds(5 + random.nextInt(20))));
    }
    boolean person = owner.employee() != null;
    return new CallRules(
        rules,
        person ? rings : List.of(),
        random.nextInt(4) == 0 ? hours() : null,
        person && random.nextInt(3) == 0 ? List.of(any(EVERYBODY)) : List.of(),
        !person && random.nextInt(4) > 0);
  }

  private Callers callers() {
    return switch (random.nextInt(6)) {
      case 0 -> new Callers(Callers.Kind.INSIDE, Set.of(), Set.of(), Set.of());
      case 1 -> new Callers(Callers.Kind.OUTSIDE, Set.of(), Set.of(), Set.of());
      case 2 -> new Callers(Callers.Kind.CHOSEN, Set.of(any(EVERYBODY)), Set.of(DOV), Set.of());
      default -> Callers.ANYBODY;
    };
  }

  private Destination destination(Party owner) {
    return switch (random.nextInt(8)) {
      case 0 -> Destination.RING;
      case 1 -> Destination.REFUSE;
      case 2 -> Destination.to(new Party.Mailbox(owner));
      case 3 -> Destination.to(new Party.Outside(MARISOL));
      default -> Destination.to(any(owners()));
    };
  }

  public Timetable hours() {
    Set<DayOfWeek> days = EnumSet.of(any(List.of(DayOfWeek.values())), DayOfWeek.MONDAY);
    LocalTime from = LocalTime.of(random.nextInt(24), 0);
    return new Timetable(
        List.of(new Timetable.Span(days, from, from.plusHours(1 + random.nextInt(12)))),
        any(List.of(Timetable.OnHolidays.values())),
        null,
        null);
  }

  private BlockList blocks() {
    List<Block> blocks = new ArrayList<>();
    if (random.nextBoolean()) {
      PersonId owner = random.nextInt(3) > 0 ? null : any(EVERYBODY);
      Block.Kind kind = any(List.of(Block.Kind.values()));
      String number = kind == Block.Kind.NUMBER ? DOV.e164() : "+44151";
      Block.Answer answer = any(List.of(Block.Answer.values()));
      blocks.add(new Block(1, owner, kind, number, answer, ""));
    }
    return new BlockList(blocks);
  }

  private <T> T any(List<T> all) {
    return all.get(random.nextInt(all.size()));
  }
}
