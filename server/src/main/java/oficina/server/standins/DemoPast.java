package oficina.server.standins;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.CallCommand.MakeCall;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.exchange.Exchange;
import oficina.core.figures.Fact;
import oficina.core.figures.Facts;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.server.journal.Batch;
import oficina.server.journal.JournalStore;
import oficina.server.office.OfficeData;

/**
 * Fills an empty journal with the calls of the last working days: real calls on an exchange of
 * their own, whose clock runs through those days, written as every call is.
 */
final class DemoPast {
  private static final DeviceId DEVICE = DeviceId.STAND_IN;
  private static final int WORKING_DAYS = 5;
  private static final int CALLS_A_DAY = 70;
  private static final LocalTime OPENS = LocalTime.of(8, 0);
  private static final int OPEN_SECONDS = 9 * 3600;

  private final OfficeData office;
  private final JournalStore journal;
  private final Exchange exchange;
  private final CallRecords records = new CallRecords();
  private final List<Batch.Entry> entries = new ArrayList<>();
  private final List<CallRecords.Entries> history = new ArrayList<>();
  private final List<Fact> counted = new ArrayList<>();
  private final Facts facts = new Facts();
  private final List<Subscriber> subscribers = Subscriber.all();
  private final Random random = new Random(1959);
  private final ZoneId zone;
  private Instant now;
  private int calls;

  DemoPast(OfficeData office, JournalStore journal) {
    this.office = office;
    this.journal = journal;
    this.zone = office.now().identity().zone();
    this.exchange = new Exchange(office.now());
  }

  /** Writes the days before this instant. */
  void write(Instant until) {
    List<LocalDate> days = new ArrayList<>();
    for (LocalDate day = until.atZone(zone).toLocalDate().minusDays(1);
        days.size() < WORKING_DAYS;
        day = day.minusDays(1)) {
      if (day.getDayOfWeek() != DayOfWeek.SATURDAY && day.getDayOfWeek() != DayOfWeek.SUNDAY) {
        days.add(0, day);
      }
    }
    now = days.get(0).atTime(OPENS).atZone(zone).toInstant();
    everybody(person -> new OfficeCommand.DeviceComes(person, DEVICE, DeviceKind.TELEPHONE, true));
    days.forEach(this::day);
    everybody(person -> new OfficeCommand.DeviceGoes(person, DEVICE));
    journal.append(entries, history, counted);
  }

  /** Parts in which somebody spoke with an outsider whose number is known, latest first. */
  List<Part> spokenOutside() {
    List<Part> spoken =
        history.stream()
            .flatMap(each -> each.parts().stream())
            .filter(part -> part.callOver() && part.result() == Part.Result.ANSWERED)
            .filter(part -> part.other() instanceof Party.Outside to && to.number() != null)
            .collect(Collectors.toCollection(ArrayList::new));
    Collections.reverse(spoken);
    return spoken;
  }

  private void everybody(Function<PersonId, Command> doing) {
    office.directory().people().forEach(person -> run(doing.apply(person.id())));
  }

  private void day(LocalDate day) {
    Instant opens = day.atTime(OPENS).atZone(zone).toInstant();
    for (int i = 0; i < CALLS_A_DAY; i++) {
      // One after the other, so that this simple office is never on two calls at once.
      now = opens.plusSeconds((long) OPEN_SECONDS * i / CALLS_A_DAY + random.nextInt(90));
      CallId call = new CallId("past-" + ++calls);
      switch (random.nextInt(5)) {
        case 0, 1 -> fromOutside(call);
        case 2 -> toOutside(call);
        default -> inside(call);
      }
      finish(call);
    }
  }

  private void fromOutside(CallId call) {
    Subscriber from = any(subscribers.stream().filter(s -> s.calls() != null).toList());
    run(
        new NetworkCommand.Arrive(
            call, random.nextInt(15) == 0 ? null : from.number(), from.calls()));
    later(3, 12);
    Connection rings = first(call, ConnectionState.ALERTING);
    if (rings != null && random.nextInt(4) > 0) {
      run(new CallCommand.Answer(call, rings.party().employee(), DEVICE));
      talk(call, rings.party().employee());
    } else if (random.nextBoolean()) {
      run(new NetworkCommand.NetworkClears(call, 1));
    }
  }

  private void toOutside(CallId call) {
    Subscriber to = any(subscribers);
    PersonId person = any(office.directory().people()).id();
    run(
        new MakeCall(
            call,
            person,
            DEVICE,
            office.plan().interpret(to.number().e164()),
            CallerIdChoice.DIRECT));
    later(1, 2);
    switch (to.habit()) {
      case BUSY -> run(new NetworkCommand.NetworkFails(call, 2, Cause.BUSY));
      case NOT_IN_USE -> run(new NetworkCommand.NetworkFails(call, 2, Cause.NUMBER_NOT_IN_USE));
      case NO_ANSWER -> run(new NetworkCommand.NetworkRings(call, 2));
      case ANSWERS, MENU -> {
        run(new NetworkCommand.NetworkRings(call, 2));
        later(3, 9);
        run(new NetworkCommand.NetworkAnswers(call, 2));
        talk(call, person);
      }
    }
  }

  private void inside(CallId call) {
    Person from = any(office.directory().people());
    Person to = any(office.directory().people());
    run(new MakeCall(call, from.id(), DEVICE, office.plan().interpret(to.extension()), null));
    later(2, 14);
    switch (random.nextInt(6)) {
      case 0 -> run(new CallCommand.Decline(call, to.id()));
      case 1 -> run(new CallCommand.Clear(call, from.id()));
      default -> {
        run(new CallCommand.Answer(call, to.id(), DEVICE));
        talk(call, to.id());
      }
    }
  }

  private void talk(CallId call, PersonId person) {
    later(15, 150);
    if (random.nextInt(3) == 0) {
      run(new CallCommand.Hold(call, person));
      later(8, 60);
      run(new CallCommand.Retrieve(call, person));
      later(10, 90);
    }
    run(new CallCommand.Clear(call, person));
  }

  /** Whatever is still up comes to its own end, or is hung up. */
  private void finish(CallId call) {
    while (exchange.state().call(call) != null) {
      if (exchange.state().call(call).mailbox() != null) {
        later(3, 8); // what was said in those days is not invented
        run(new NetworkCommand.NetworkClears(call, 1));
      } else if (exchange.nextDue() == null) {
        Connection somebody = first(call, ConnectionState.CONNECTED);
        run(new CallCommand.Clear(call, somebody.party().employee()));
      } else {
        now = exchange.nextDue();
        run(new OfficeCommand.Tick());
      }
    }
  }

  private Connection first(CallId id, ConnectionState state) {
    Call call = exchange.state().call(id);
    return call == null
        ? null
        : call.in(state).stream()
            .filter(connection -> connection.party().employee() != null)
            .findFirst()
            .orElse(null);
  }

  private void later(int least, int most) {
    now = now.plus(Duration.ofSeconds(least + random.nextInt(most - least)));
  }

  private <T> T any(List<T> all) {
    return all.get(random.nextInt(all.size()));
  }

  private void run(Command command) {
    if (exchange.decide(command, now) instanceof Decision.Accepted accepted) {
      for (ExchangeEvent event : accepted.events()) {
        counted.addAll(facts.follow(event, exchange.state()));
        exchange.apply(event);
        entries.add(new Batch.Entry(entries.size() + 1L, event));
        CallRecords.Entries written = records.follow(event, exchange.state()::call);
        if (written != null) {
          history.add(written);
        }
      }
    }
  }
}
