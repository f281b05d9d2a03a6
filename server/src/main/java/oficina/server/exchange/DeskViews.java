package oficina.server.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.exchange.Call;
import oficina.core.exchange.Connection;
import oficina.core.exchange.ConnectionState;
import oficina.core.exchange.ExchangeState;
import oficina.core.history.CallRecord;
import oficina.core.history.CallRecords;
import oficina.core.history.Part.Direction;
import oficina.core.history.Segment;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.exchange.CallView.Action;
import oficina.server.exchange.CallView.Phase;
import oficina.server.history.SegmentView;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import oficina.server.people.PersonView;
import oficina.server.people.PersonView.Lamp;
import oficina.server.people.Presence;
import org.springframework.stereotype.Component;

/** Draws up how desks look from the state of the exchange. Only on the exchange's thread. */
@Component
class DeskViews {
  private final OfficeData office;
  private final Parties parties;
  private final Presence presence;
  private final DeskFeed feed;

  DeskViews(OfficeData office, Parties parties, Presence presence, DeskFeed feed) {
    this.office = office;
    this.parties = parties;
    this.presence = presence;
    this.feed = feed;
  }

  /** Publishes everybody's desk before the first event. */
  void start(ExchangeState state, CallRecords records) {
    List<PersonId> everybody = office.directory().people().stream().map(Person::id).toList();
    feed.publish(of(everybody, state, records), List.of());
  }

  static void addEmployees(Set<PersonId> people, Call call) {
    if (call != null) {
      for (Connection connection : call.connections()) {
        PersonId person = connection.party().employee();
        if (person != null) {
          people.add(person);
        }
      }
    }
  }

  List<DeskView> of(Collection<PersonId> people, ExchangeState state, CallRecords records) {
    List<DeskView> desks = new ArrayList<>(people.size());
    for (PersonId person : people) {
      List<Call> inHand = new ArrayList<>();
      for (CallId id : state.inHand(person)) {
        inHand.add(state.call(id));
      }
      desks.add(
          new DeskView(
              person,
              inHand.stream().map(call -> view(call, person, records.of(call.id()))).toList(),
              board(office.person(person), inHand)));
    }
    return desks;
  }

  private PersonView board(Person person, List<Call> inHand) {
    Instant talkingSince = null;
    Instant ringingSince = null;
    for (Call call : inHand) {
      Connection own = call.of(person.id());
      if (own.rings()) {
        ringingSince = earlier(ringingSince, own.since());
      } else {
        talkingSince =
            earlier(talkingSince, call.answered() == null ? call.began() : call.answered());
      }
    }
    Lamp lamp = presence.lamp(person.id());
    Instant since = null;
    if (talkingSince != null) {
      lamp = Lamp.ON_CALL;
      since = talkingSince;
    } else if (ringingSince != null) {
      lamp = Lamp.RINGING;
      since = ringingSince;
    }
    return PersonView.of(person, lamp, since);
  }

  private static Instant earlier(Instant one, Instant other) {
    return one == null || other.isBefore(one) ? other : one;
  }

  private CallView view(Call call, PersonId person, CallRecord record) {
    Connection own = call.of(person);
    boolean placed = own.party().equals(call.caller());
    Phase phase = phase(call, own);
    return new CallView(
        call.id().value(),
        placed ? Direction.PLACED : Direction.RECEIVED,
        other(call, own),
        own.line() instanceof Party.Members ? parties.name(own.line()) : null,
        phase,
        call.began(),
        since(call, own, record),
        heldBefore(record, person),
        call.failure() == null ? null : call.failure().cause(),
        own.silenced(),
        own.device() == null ? null : own.device().value(),
        record.digits(),
        record.course().stream().map(s -> SegmentView.of(s, person, parties)).toList(),
        actions(call, own, phase));
  }

  private PartyView other(Call call, Connection own) {
    for (Connection connection : call.connections()) {
      if (connection.leg() != own.leg() && connection.answered()) {
        return parties.view(connection.party());
      }
    }
    return parties.view(own.party().equals(call.caller()) ? call.called() : call.caller());
  }

  private static Phase phase(Call call, Connection own) {
    if (own.rings()) {
      return Phase.RINGING;
    }
    if (call.failure() != null) {
      return Phase.FAILED;
    }
    if (call.answered() == null) {
      return call.in(ConnectionState.ALERTING).isEmpty() ? Phase.DIALLING : Phase.CALLING;
    }
    if (own.state() == ConnectionState.HOLD) {
      return Phase.HELD;
    }
    return call.in(ConnectionState.HOLD).isEmpty() ? Phase.TALKING : Phase.WAITING;
  }

  private static Instant since(Call call, Connection own, CallRecord record) {
    List<Segment> course = record.course();
    return own.rings() || course.isEmpty() ? own.since() : course.get(course.size() - 1).from();
  }

  /** The present hold is left out: the page adds it as it goes on. */
  private static long heldBefore(CallRecord record, PersonId person) {
    return record.course().stream()
        .filter(s -> s.kind() == Segment.Kind.HELD && s.to() != null)
        .filter(s -> s.who().contains(new Party.Employee(person)))
        .mapToLong(s -> s.lasted(s.to()).toMillis())
        .sum();
  }

  private static List<Action> actions(Call call, Connection own, Phase phase) {
    List<Action> actions = new ArrayList<>();
    switch (phase) {
      case RINGING -> {
        actions.add(Action.ANSWER);
        actions.add(Action.DECLINE);
        if (!own.silenced()) {
          actions.add(Action.SILENCE);
        }
        return actions;
      }
      case TALKING, WAITING ->
          actions.add(own.state() == ConnectionState.CONNECTED ? Action.HOLD : Action.RETRIEVE);
      case HELD -> actions.add(Action.RETRIEVE);
      default -> {}
    }
    if (phase == Phase.TALKING
        && call.connections().stream().anyMatch(c -> c.party().usesOutsideLine())) {
      actions.add(Action.DIGITS);
    }
    actions.add(Action.CLEAR);
    return actions;
  }
}
