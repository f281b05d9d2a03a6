package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.decision.Refusal;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.TalkEvent;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.history.Segment;
import oficina.core.notices.Notice;
import oficina.core.notices.Notices;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/** An exchange at work in a test: commands in the order of the story, time moved by hand. */
public final class Scene {
  public static final DeviceId WINDOW = new DeviceId("window-1");

  public final TestOffice office = new TestOffice();
  public final Exchange exchange = office.exchange;
  public final CallRecords records = new CallRecords();
  public final List<ExchangeEvent> events = new ArrayList<>();
  public final List<Notice> notices = new ArrayList<>();
  private final Map<CallId, Map<PersonId, Part>> entries = new HashMap<>();
  private final Map<CallId, List<Segment>> courses = new HashMap<>();
  private final Map<TalkEvent.Merged, Party> moved = new HashMap<>();
  private Instant now = TestOffice.START;
  private int calls;

  /** Everybody has a window open. */
  public Scene() {
    TestOffice.EVERYBODY.forEach(this::comes);
  }

  public void comes(PersonId person) {
    run(new OfficeCommand.DeviceComes(person, WINDOW, DeviceKind.WINDOW, true));
  }

  public void goes(PersonId person) {
    run(new OfficeCommand.DeviceGoes(person, WINDOW));
  }

  public Instant now() {
    return now;
  }

  /** Lets time pass; whatever falls due happens when it is due. */
  public void wait(int seconds) {
    Instant end = now.plus(Duration.ofSeconds(seconds));
    while (exchange.nextDue() != null && !exchange.nextDue().isAfter(end)) {
      now = exchange.nextDue();
      run(new OfficeCommand.Tick());
    }
    now = end;
  }

  /** The refusal, or null when the command was carried out. */
  public Refusal run(Command command) {
    Decision decision = exchange.decide(command, now);
    if (decision instanceof Refusal refusal) {
      return refusal;
    }
    List<Notice> told = new ArrayList<>();
    for (ExchangeEvent event : ((Decision.Accepted) decision).events()) {
      if (event instanceof TalkEvent.Merged merged) {
        moved.put(merged, exchange.state().call(merged.other()).leg(merged.otherLeg()).party());
      }
      told.addAll(Notices.of(event, exchange.state()));
      exchange.apply(event);
      events.add(event);
      CallRecords.Entries written = records.follow(event, exchange.state()::call);
      if (written != null) {
        courses.put(written.call(), written.course());
        for (Part part : written.parts()) {
          entries
              .computeIfAbsent(part.call(), id -> new LinkedHashMap<>())
              .put(part.person(), part);
        }
      }
    }
    told.stream().filter(each -> Notices.holds(each, exchange.state())).forEach(notices::add);
    return null;
  }

  public CallId nextId() {
    return new CallId("call-" + ++calls);
  }

  public Refusal.Reason tryCall(PersonId person, String typed) {
    Refusal refusal = run(make(nextId(), person, typed));
    return refusal == null ? null : refusal.reason();
  }

  public CallId call(PersonId person, String typed) {
    CallId id = nextId();
    assertThat(run(make(id, person, typed))).isNull();
    return id;
  }

  private Command make(CallId id, PersonId person, String typed) {
    return new CallCommand.MakeCall(
        id, person, WINDOW, office.plan.interpret(typed), CallerIdChoice.OFFICE);
  }

  public CallId arrive(PhoneNumber from, String to) {
    CallId id = nextId();
    assertThat(run(new NetworkCommand.Arrive(id, from, new PhoneNumber(to)))).isNull();
    return id;
  }

  public Refusal.Reason answer(CallId call, PersonId person) {
    Refusal refusal = run(new CallCommand.Answer(call, person, WINDOW));
    return refusal == null ? null : refusal.reason();
  }

  public void clear(CallId call, PersonId person) {
    assertThat(run(new CallCommand.Clear(call, person))).isNull();
  }

  /** Who came over from the other call. */
  Party party(TalkEvent.Merged event) {
    return moved.get(event);
  }

  public Call state(CallId call) {
    return exchange.state().call(call);
  }

  public ConnectionState state(CallId call, PersonId person) {
    Connection connection = state(call).of(person);
    return connection == null ? null : connection.state();
  }

  public Part entry(CallId call, PersonId person) {
    return entries.get(call).get(person);
  }

  /** The course of the whole call as it was last written. */
  public List<Segment> course(CallId call) {
    return courses.get(call);
  }

  public List<Part> entries(CallId call) {
    return List.copyOf(entries.getOrDefault(call, Map.of()).values());
  }
}
