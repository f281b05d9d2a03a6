package oficina.server.exchange;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.exchange.Call;
import oficina.core.exchange.Connection;
import oficina.core.exchange.ConnectionState;
import oficina.core.exchange.ExchangeState;
import oficina.core.exchange.Listening;
import oficina.core.history.CallRecord;
import oficina.core.history.Part.Direction;
import oficina.core.history.Segment;
import oficina.core.people.PersonId;
import oficina.server.exchange.CallView.Phase;
import oficina.server.history.SegmentView;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import org.springframework.stereotype.Component;

/** Draws up how a call looks to one of those who have to do with it. */
@Component
class CallViews {
  private final OfficeData office;
  private final Parties parties;

  CallViews(OfficeData office, Parties parties) {
    this.office = office;
    this.parties = parties;
  }

  CallView view(Call call, PersonId person, CallRecord record, ExchangeState state) {
    Connection own = call.of(person);
    boolean placed = own.party().equals(call.caller());
    Phase phase = phase(call, own);
    Call announced = announced(call, person, state);
    Call partner = partner(call, own, state);
    return new CallView(
        call.id().value(),
        placed ? Direction.PLACED : Direction.RECEIVED,
        other(call, own),
        own.line() instanceof Party.Members ? parties.name(own.line()) : null,
        own.sentBy() == null ? null : parties.name(new Party.Employee(own.sentBy())),
        returned(call, own),
        phase,
        call.began(),
        since(own, record),
        heldBefore(record, person),
        call.failure() == null ? null : call.failure().cause(),
        own.silenced(),
        own.muted(),
        own.reminded(),
        own.device() == null ? null : own.device().value(),
        record.digits(),
        announced == null ? null : announced.id().value(),
        announced != null && call.asideBy(person),
        partner == null ? null : partner.id().value(),
        conference(call, own),
        call.parked() == null || own.rings() ? null : call.parked().slot(),
        own.rings() && placed,
        hears(call, opposite(call, own.leg())),
        record.course().stream().map(s -> SegmentView.of(s, person, parties)).toList(),
        Actions.of(call, own, phase, announced, partner));
  }

  /** A call this person has sent on: no longer theirs, but they can still take it back. */
  CallView sentView(Call call, CallRecord record, PersonId person) {
    Connection waiting = opposite(call, 0);
    List<Segment> course = record.course();
    boolean toTarget = call.sent().stage() == Call.Stage.TO_TARGET;
    return new CallView(
        call.id().value(),
        Direction.RECEIVED,
        parties.view(waiting == null ? call.caller() : waiting.party()),
        parties.name(call.sent().to()),
        null,
        null,
        Phase.SENT,
        call.began(),
        course.get(course.size() - 1).from(),
        0,
        null,
        false,
        false,
        false,
        null,
        record.digits(),
        null,
        false,
        null,
        null,
        null,
        false,
        hears(call, opposite(call, 0)),
        course.stream().map(s -> SegmentView.of(s, person, parties)).toList(),
        toTarget ? List.of(CallView.Action.PULL_BACK) : List.of());
  }

  private CallView.Returned returned(Call call, Connection own) {
    Call.Sent sent = call.sent();
    if (sent == null || sent.stage() == Call.Stage.TO_TARGET || !own.rings()) {
      return null;
    }
    boolean mine = sent.by().equals(own.party().employee());
    Cause why = call.parked() == null ? sent.why() : Cause.PARKED_TOO_LONG;
    return new CallView.Returned(parties.name(sent.to()), why, mine);
  }

  /** The held call this one announces, as long as both are in this person's hand. */
  private static Call announced(Call call, PersonId person, ExchangeState state) {
    Call announced = call.announces() == null ? null : state.call(call.announces());
    return announced == null || announced.of(person) == null ? null : announced;
  }

  /** The other call in hand with which a held one could be joined: the one being spoken on. */
  private static Call partner(Call call, Connection own, ExchangeState state) {
    if (own.state() != ConnectionState.HOLD || !call.conversation()) {
      return null;
    }
    PersonId person = own.party().employee();
    for (CallId id : state.inHand(person)) {
      Call other = state.call(id);
      boolean active = other.of(person).state() == ConnectionState.CONNECTED;
      if (active && other.conversation() && other.sent() == null) {
        return other;
      }
    }
    return null;
  }

  /** The others of a conference; null in a call of two. */
  private ConferenceView conference(Call call, Connection own) {
    if (!call.conference()) {
      return null;
    }
    return new ConferenceView(
        own.party().employee().equals(call.starter()),
        office.settings().conferenceLimit(),
        call.connections().stream()
            .filter(each -> each.leg() != own.leg() && each.answered())
            .map(
                each ->
                    new ConferenceView.Member(
                        each.leg(),
                        parties.view(each.party()),
                        each.muted(),
                        each.state() == ConnectionState.HOLD))
            .toList());
  }

  /** The first who has answered, but for this connection; null when nobody has. */
  static Connection opposite(Call call, int leg) {
    return call.connections().stream()
        .filter(connection -> connection.leg() != leg && connection.answered())
        .findFirst()
        .orElse(null);
  }

  private static Listening.Sound hears(Call call, Connection listener) {
    return listener == null ? Listening.Sound.SILENCE : Listening.of(call, listener).sound();
  }

  private PartyView other(Call call, Connection own) {
    Connection opposite = opposite(call, own.leg());
    if (opposite != null) {
      return parties.view(opposite.party());
    }
    if (call.parked() != null && own.answered()) {
      return parties.view(new Party.Employee(call.parked().by()));
    }
    if (call.sent() != null && own.answered()) {
      return parties.view(call.sent().to()); // where it rings now
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
    if (own.state() == ConnectionState.HOLD && call.answered() != null) {
      return Phase.HELD;
    }
    if (call.parked() != null) {
      return Phase.WAITING;
    }
    if (!call.conversation()) {
      return call.in(ConnectionState.ALERTING).isEmpty() ? Phase.DIALLING : Phase.CALLING;
    }
    boolean heldByOthers =
        call.connections().stream()
            .filter(connection -> connection.leg() != own.leg() && connection.answered())
            .allMatch(connection -> connection.state() == ConnectionState.HOLD);
    return heldByOthers ? Phase.WAITING : Phase.TALKING;
  }

  private static Instant since(Connection own, CallRecord record) {
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
}
