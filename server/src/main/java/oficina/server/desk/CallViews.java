package oficina.server.desk;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.call.Party;
import oficina.core.events.SentCall;
import oficina.core.exchange.Offers;
import oficina.core.heard.Listening;
import oficina.core.history.CallRecord;
import oficina.core.history.Part.Direction;
import oficina.core.history.Segment;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.queueing.Place;
import oficina.core.queueing.Queue;
import oficina.core.seen.Announced;
import oficina.core.seen.Standpoint;
import oficina.core.seen.Standpoint.Phase;
import oficina.core.services.ActedFor;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.Device;
import oficina.core.state.ExchangeState;
import oficina.core.state.OutsidePhone;
import oficina.core.state.Tape;
import oficina.server.history.SegmentView;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Draws up how a call looks to one of those who have to do with it. */
@Component
class CallViews {
  /** No connection has this number. */
  private static final int NOBODY = 0;

  /** As many as can be told apart when they are drawn. */
  private static final int STRETCHES_TOLD = 40;

  private final OfficeData office;
  private final Parties parties;

  CallViews(OfficeData office, Parties parties) {
    this.office = office;
    this.parties = parties;
  }

  /**
   * @param state as it is now
   */
  CallView view(Call call, PersonId person, ExchangeState state, CallRecord record, Offers offers) {
    Connection own = call.of(person);
    Standpoint stands = Standpoint.of(call, person);
    boolean placed = own.party().equals(call.caller());
    Party announced = Announced.to(person, call, state);
    CallId waits = offers.announces() != null ? offers.announces() : offers.asideOf();
    return new CallView(
        call.id().value(),
        placed ? Direction.PLACED : Direction.RECEIVED,
        parties.view(stands.other(), person, call.id()),
        new CallView.Arrival(
            parties.groupLine(own.line()),
            own.sentBy() == null ? null : parties.name(new Party.Employee(own.sentBy())),
            own.forwardedFrom() == null ? null : parties.name(own.forwardedFrom()),
            answersFor(own),
            behalf(call, own),
            returned(call, own),
            call.ringsBackAt(own),
            announced == null ? null : parties.name(announced, person),
            sentOnBy(call, own),
            placed ? theySee(call, call.opposite(own.leg())) : null),
        new CallView.Stand(
            stands.phase(),
            call.began(),
            stands.since(),
            heldBefore(record, person),
            call.failure() == null ? null : call.failure().cause(),
            call.parked() == null || own.rings() ? null : call.parked().slot(),
            record.digits(),
            hears(call, call.opposite(own.leg())),
            stands.phase() == Phase.WAITING && isLeft(call, state)),
        new CallView.Mine(
            own.device() == null ? null : own.device().value(),
            kind(own.device(), state.devices(person)),
            own.silenced(),
            own.muted(),
            own.reminded(),
            tape(call, own),
            outside(call, state.outsidePhone(person))),
        new CallView.Ties(
            waits == null ? null : waits.value(),
            offers.asideOf() != null,
            offers.partner() == null ? null : offers.partner().value()),
        queued(call),
        conference(call, own),
        course(record, person),
        Math.max(0, record.stretches() - STRETCHES_TOLD),
        offers.services());
  }

  /** A call of a colleague that concerns this person by delegation. */
  OthersCallView othersView(ActedFor acted, Call call, PersonId person, boolean mine) {
    Connection theirs = call.of(acted.holder());
    Standpoint stands = Standpoint.of(call, acted.holder());
    return new OthersCallView(
        call.id().value(),
        parties.view(theirs.party(), person),
        mine,
        parties.view(stands.other(), person, call.id()),
        stands.phase(),
        stands.since(),
        acted.service());
  }

  /** A call this person has sent on: no longer theirs, but they can still take it back. */
  CallView sentView(Call call, PersonId person, CallRecord record, Offers offers) {
    Standpoint stands = Standpoint.of(call, person);
    return new CallView(
        call.id().value(),
        Direction.RECEIVED,
        parties.view(stands.other(), person, call.id()),
        CallView.Arrival.sentTo(parties.name(call.sent().to(), person)),
        new CallView.Stand(
            stands.phase(),
            call.began(),
            stands.since(),
            0,
            null,
            null,
            record.digits(),
            hears(call, call.opposite(NOBODY)),
            /* left= */ false),
        new CallView.Mine(null, null, false, false, false, null, null),
        new CallView.Ties(null, false, null),
        queued(call),
        null,
        course(record, person),
        Math.max(0, record.stretches() - STRETCHES_TOLD),
        offers.services());
  }

  private CallView.@Nullable QueuedView queued(Call call) {
    Place place = call.place();
    if (place == null) {
      return null;
    }
    Instant left = place.left();
    Queue queue = office.now().directions().queue(place.line());
    Queue.Question asks = queue == null ? null : queue.told().asks();
    return new CallView.QueuedView(
        place.line().value(),
        parties.name(new Party.Members(place.line())),
        place.since(),
        left == null ? null : Duration.between(place.since(), left).toMillis(),
        place.priority(),
        place.why(),
        place.kept() != null,
        place.given().isEmpty() ? null : place.given(),
        asks == null ? "" : asks.name(),
        queue != null && !queue.shown().equals(Queue.Shown.NOTHING));
  }

  private @Nullable String sentOnBy(Call call, Connection own) {
    SentCall sent = call.sent();
    boolean others = sent != null && own.answered() && !sent.by().equals(own.party().employee());
    return others ? parties.name(new Party.Employee(sent.by())) : null;
  }

  private @Nullable String theySee(Call call, @Nullable Connection called) {
    Party party = called == null ? call.called() : called.party();
    if (party.outsideNumber() == null) {
      return null;
    }
    PhoneNumber shown = (called == null ? call.callerId() : call.shownTo(called)).number();
    return shown == null ? "" : office.region().show(shown);
  }

  /** Whether somebody of it speaks with another one aside. */
  private static boolean isLeft(Call call, ExchangeState state) {
    return call.connections().stream()
        .map(each -> each.party().employee())
        .filter(Objects::nonNull)
        .flatMap(person -> state.inHand(person).stream())
        .anyMatch(id -> call.id().equals(state.call(id).asideOf()));
  }

  /** On whose line it rings here, when that is a colleague's. */
  private @Nullable String answersFor(Connection own) {
    Party line = own.line();
    boolean colleagues = line != null && line.employee() != null && !line.equals(own.party());
    return colleagues ? parties.name(line) : null;
  }

  /** In whose name it was placed, for whoever placed it and the colleagues it came to. */
  private @Nullable String behalf(Call call, Connection own) {
    PersonId principal = call.behalf();
    boolean theirOwn = principal == null || own.party().employee().equals(principal);
    return theirOwn ? null : parties.name(new Party.Employee(principal));
  }

  /** One's own recording, else that of whoever it is recorded for. */
  private CallView.@Nullable TapeView tape(Call call, Connection own) {
    Tape mine = own.tape();
    if (mine.on() || mine.state() == Tape.State.STOPPED) {
      return new CallView.TapeView(mine.on(), null, mine.since());
    }
    return call.connections().stream()
        .filter(each -> each.tape().on())
        .map(each -> new CallView.TapeView(true, parties.name(each.party()), each.tape().since()))
        .findFirst()
        .orElse(null);
  }

  private static @Nullable DeviceKind kind(@Nullable DeviceId wanted, List<Device> devices) {
    return devices.stream()
        .filter(device -> device.id().equals(wanted))
        .map(Device::kind)
        .findFirst()
        .orElse(null);
  }

  private CallView.@Nullable PhoneOutside outside(Call call, @Nullable OutsidePhone phone) {
    return phone != null && phone.concerns(call)
        ? new CallView.PhoneOutside(
            office.region().show(phone.number()), phone.stage(), phone.places())
        : null;
  }

  private List<SegmentView> course(CallRecord record, PersonId person) {
    return record.lastOfCourse(STRETCHES_TOLD).stream()
        .map(s -> SegmentView.of(s, person, parties))
        .toList();
  }

  private CallView.@Nullable Returned returned(Call call, Connection own) {
    SentCall sent = call.sent();
    if (sent == null || sent.toTarget() || !own.rings()) {
      return null;
    }
    PersonId viewer = own.party().employee();
    boolean mine = sent.by().equals(viewer);
    Cause why = call.parked() == null ? sent.why() : Cause.PARKED_TOO_LONG;
    return new CallView.Returned(parties.name(sent.to(), viewer), why, mine);
  }

  /** The others of a conference; null in a call of two. */
  private @Nullable ConferenceView conference(Call call, Connection own) {
    if (!call.conference()) {
      return null;
    }
    return new ConferenceView(
        own.party().employee().equals(call.starter()),
        office.settings().limits().conferenceParties(),
        call.connections().stream()
            .filter(each -> each.leg() != own.leg() && each.answered())
            .map(
                each ->
                    new ConferenceView.Member(
                        each.leg(),
                        parties.view(each.party(), own.party().employee(), call.id()),
                        each.muted(),
                        each.state() == ConnectionState.HOLD))
            .toList());
  }

  private static Listening.Sound hears(Call call, @Nullable Connection listener) {
    return listener == null ? Listening.Sound.SILENCE : Listening.of(call, listener).sound();
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
