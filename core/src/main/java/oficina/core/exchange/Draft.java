package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.MessageEnd;
import oficina.core.call.Party;
import oficina.core.events.CallBackEvent;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.MachineEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.routing.Diversion;
import oficina.core.routing.Lead;
import oficina.core.routing.Reach;
import oficina.core.routing.Route;
import oficina.core.routing.Router;
import oficina.core.routing.Station;
import oficina.core.routing.Walk;
import oficina.core.routing.Way;
import oficina.core.rules.Caller;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.ExchangeState;
import oficina.core.state.Standing;
import org.jspecify.annotations.Nullable;

/**
 * One decision in the making. Each consequence is applied to a draft of the state at once, so that
 * the next one is decided on what will be true by then; the exchange itself is not touched.
 */
final class Draft {
  /** No connection has this number. */
  private static final int NOBODY = 0;

  final ExchangeState state;
  final Office office;
  final Instant now;
  private final List<ExchangeEvent> events = new ArrayList<>();
  private final List<Station> stations = new ArrayList<>();

  Draft(ExchangeState state, Office office, Instant now) {
    this.state = state.draft();
    this.office = office;
    this.now = now;
  }

  Settings settings() {
    return office.settings();
  }

  List<ExchangeEvent> events() {
    return List.copyOf(events);
  }

  /** What was found on the ways of calls, in order: why they go where they go. */
  List<Station> stations() {
    return stations;
  }

  void found(Station.Kind kind, Party at) {
    stations.add(Station.of(kind, at));
  }

  void emit(ExchangeEvent event) {
    state.apply(event);
    events.add(event);
  }

  @Nullable Call call(CallId id) {
    return state.call(id);
  }

  // --- who and where ----------------------------------------------------------------------------

  /** Whether a further call may ring at this person. */
  boolean takesCalls(PersonId person) {
    return state.inHand(person).isEmpty()
        || (office.directory().person(person).map(Person::callWaiting).orElse(false)
            && hasRoom(person));
  }

  private boolean onCall(PersonId person) {
    return state.inHand(person).stream().anyMatch(id -> call(id).of(person).answered());
  }

  private boolean hasRoom(PersonId person) {
    return state.inHand(person).size() < settings().limits().callsInHand();
  }

  /** What this person says of themselves at this moment. */
  Status.Kind status(PersonId person) {
    Status said = state.status(person);
    boolean over = said == null || (said.until() != null && !said.until().isAfter(now));
    return over ? Status.Kind.FREE : said.kind();
  }

  /** Where this call can go; whoever is in it already is not rung. */
  Router router(Call inProgress) {
    return new Router(
        office,
        new Reach() {
          @Override
          public boolean hasDevice(PersonId person) {
            return !state.devices(person).isEmpty();
          }

          @Override
          public boolean takesCalls(PersonId person) {
            return Draft.this.takesCalls(person) && inProgress.of(person) == null;
          }

          @Override
          public boolean onCall(PersonId person) {
            return Draft.this.onCall(person);
          }

          @Override
          public boolean hasRoom(PersonId person) {
            return Draft.this.hasRoom(person) && inProgress.of(person) == null;
          }

          @Override
          public Status.Kind status(PersonId person) {
            return Draft.this.status(person);
          }
        });
  }

  /** Follows what people and lines have decided about this call. */
  Walk walk(Call call) {
    return walk(call, call.sent() != null);
  }

  /** The same for when a colleague sends it on. */
  Walk walkSentOn(Call call) {
    return walk(call, true);
  }

  private Walk walk(Call call, boolean sentOn) {
    Connection waiting = call.opposite(NOBODY);
    Party caller = waiting == null ? call.caller() : waiting.party();
    Standing.OnItsWay way = call.standing().onItsWay();
    return new Walk(
        router(call),
        new Caller(caller, caller.equals(call.caller()) ? call.behalf() : null, Set.of()),
        now,
        way.diversions(),
        way.steps(),
        sentOn);
  }

  /** Whether this person has a device that would ring and nothing to do with any call. */
  boolean idle(PersonId person) {
    return !state.devices(person).isEmpty()
        && state.inHand(person).isEmpty()
        && status(person).takesCalls();
  }

  /** Refused when this person has as many calls in hand as are allowed. */
  @Nullable Refusal handsFull(PersonId person) {
    int limit = settings().limits().callsInHand();
    return state.inHand(person).size() >= limit
        ? Refusal.of(Reason.TOO_MANY_CALLS, "limit", Integer.toString(limit))
        : null;
  }

  boolean linesBusy() {
    return state.outsideLinesTaken() >= settings().limits().outsideLines();
  }

  /**
   * Has the call go where it leads.
   *
   * @param remaining what follows when nobody takes it by the rules of whoever it goes to
   * @param shown what an outsider is shown who was called, and to whom nobody's rules led
   */
  void follow(CallId id, Lead lead, List<Way> remaining, CallerId shown) {
    stations.addAll(lead.stations());
    List<Way> ways = new ArrayList<>(lead.ways());
    remaining.stream().filter(way -> way.reason() != Way.Reason.BY_RULE).forEach(ways::add);
    boolean rings = lead.route() instanceof Route.Ring || lead.route() instanceof Route.Greet;
    if (!lead.diversions().isEmpty() || (rings && !ways.equals(call(id).ways()))) {
      emit(new ReachEvent.Routed(id, now, lead.diversions(), ways));
    }
    if (lead.route() instanceof Route.Refuse refuse) {
      new Onward(this).goOn(call(id), ways, refuse.cause(), refuse.missedBy());
    } else {
      follow(id, lead.route(), lead.diversions().isEmpty() ? shown : forwarded(id));
    }
  }

  /** What an outside number is shown to which somebody's rules have led a call. */
  private CallerId forwarded(CallId id) {
    Call call = call(id);
    List<Diversion> diversions = call.standing().onItsWay().diversions();
    Party from =
        diversions.isEmpty() ? call.called() : diversions.get(diversions.size() - 1).from();
    PhoneNumber caller = call.caller().outsideNumber();
    if (office.directions().showsCaller() && caller != null) {
      return new CallerId(caller);
    }
    return from.employee() == null
        ? new CallerId(office.identity().mainNumber())
        : office.callerId(from.employee(), null);
  }

  /**
   * Has the call ring, go out or fail, as its route says.
   *
   * @param shown what an outsider is shown
   */
  void follow(CallId call, Route route, CallerId shown) {
    route.accept(new Following(call, shown));
  }

  /** Does what a route says. The answers say nothing. */
  private final class Following implements Route.Cases<@Nullable Void> {
    private final CallId call;
    private final CallerId shown;

    Following(CallId call, CallerId shown) {
      this.call = call;
      this.shown = shown;
    }

    @Override
    public @Nullable Void of(Route.Ring route) {
      Instant until = now.plus(route.time());
      for (PersonId person : route.people()) {
        emit(
            new ReachEvent.Delivered(
                call, now, call(call).nextLeg(), new Party.Employee(person), route.line(), until));
      }
      for (Party number : route.outside()) {
        if (!linesBusy()) {
          int leg = call(call).nextLeg();
          emit(new ReachEvent.NetworkReached(call, now, leg, number, until, forwarded(call)));
        }
      }
      if (call(call).connections().stream().noneMatch(each -> !each.answered())) {
        new Onward(Draft.this).goOn(call(call), Cause.LINES_BUSY, List.of());
      }
      return null;
    }

    @Override
    public @Nullable Void of(Route.GoOut route) {
      if (!route.to().alwaysGoesOut() && linesBusy()) {
        fail(call, Cause.LINES_BUSY, List.of());
      } else {
        Instant until = now.plus(settings().times().networkPatience());
        int leg = call(call).nextLeg();
        emit(new ReachEvent.NetworkReached(call, now, leg, route.to(), until, shown));
      }
      return null;
    }

    @Override
    public @Nullable Void of(Route.TakeMessage route) {
      new Mailboxes(Draft.this).answer(call(call), route.mailbox(), route.why(), route.missedBy());
      return null;
    }

    @Override
    public @Nullable Void of(Route.Attend route) {
      int leg = call(call).nextLeg();
      emit(new ReachEvent.Delivered(call, now, leg, route.attendant(), route.attendant(), now));
      emit(new TalkEvent.Established(call, now, leg, null));
      return null;
    }

    @Override
    public @Nullable Void of(Route.Greet route) {
      new Welcomes(Draft.this).begin(call(call), route.welcome());
      return null;
    }

    @Override
    public @Nullable Void of(Route.Refuse route) {
      new Onward(Draft.this).goOn(call(call), route.cause(), route.missedBy());
      return null;
    }
  }

  // --- what follows from what -------------------------------------------------------------------

  void hold(Call call, Connection mine) {
    emit(
        new TalkEvent.Held(
            call.id(), now, mine.leg(), now.plus(settings().times().holdReminder())));
  }

  /** Whoever turns to another call leaves the one they were speaking on in good order. */
  void holdActive(PersonId person) {
    for (CallId id : state.inHand(person)) {
      Call call = call(id);
      Connection connection = call.of(person);
      if (connection.state() != ConnectionState.CONNECTED) {
        continue;
      }
      if (call.failure() != null || call.mailbox() != null) {
        // Nobody is there to be held: the tone has told its reason, the message is over.
        gone(call, connection, Cause.NORMAL);
      } else {
        hold(call, connection);
      }
    }
  }

  /** This party answers; wherever else the call rings, it stops. */
  void establish(Call call, Connection answering, @Nullable DeviceId device) {
    emit(new TalkEvent.Established(call.id(), now, answering.leg(), device));
    for (Connection other : call.connections()) {
      if (!other.answered() && other.leg() != answering.leg()) {
        clear(call.id(), other, Cause.ANSWERED_ELSEWHERE);
      }
    }
  }

  /** This employee takes part from now on, whether it rings at them or not. */
  void join(Call call, PersonId person, @Nullable Party line, DeviceId device) {
    holdActive(person);
    if (call.of(person) == null) {
      Party me = new Party.Employee(person);
      emit(new ReachEvent.Delivered(call.id(), now, call.nextLeg(), me, line, now));
    }
    Call ringing = call(call.id());
    establish(ringing, ringing.of(person), device);
  }

  void clear(CallId call, Connection leaving, Cause cause) {
    boolean taken = cause == Cause.ANSWERED_ELSEWHERE;
    stopRecording(
        call, call(call).leg(leaving.leg()), taken ? MessageEnd.TAKEN : MessageEnd.HUNG_UP);
    emit(new TalkEvent.ConnectionCleared(call, now, leaving.leg(), cause));
  }

  /** What a mailbox records is over, if it records. */
  void stopRecording(CallId call, Connection mailbox, MessageEnd how) {
    if (mailbox.records()) {
      boolean kept = mailbox.taking() == Connection.Taking.MESSAGE;
      emit(new MachineEvent.RecordingEnded(call, now, mailbox.leg(), how, kept));
    }
  }

  /** A party leaves, or will not come; whoever can no longer speak with anybody is let go. */
  void gone(Call call, Connection leaving, Cause cause) {
    clear(call.id(), leaving, cause);
    CallId callBack = call.callBack();
    if (call.ringsBackAt(leaving) && callBack != null && state.callBack(callBack) != null) {
      emit(new CallBackEvent.CallBackCleared(callBack, now, cause));
    }
    Call left = call(call.id());
    if (left.conversation()) {
      return;
    }
    boolean somebodyThere = left.connections().stream().anyMatch(Connection::answered);
    boolean somebodyWanted = left.connections().stream().anyMatch(c -> !c.answered());
    if (somebodyThere && somebodyWanted) {
      return;
    }
    boolean onItsWay = left.sent() != null || left.answered() == null;
    if (somebodyThere && left.failure() == null && onItsWay) {
      new Onward(this).goOn(left, cause, List.of());
      return;
    }
    boolean cutOff = cause == Cause.LOST || cause == Cause.NETWORK_FAILURE;
    Cause ended = cutOff ? cause : Cause.NORMAL;
    end(left, somebodyThere || left.answered() != null ? ended : Cause.CALLER_GAVE_UP);
  }

  void end(Call call, Cause cause) {
    for (Connection connection : call.connections()) {
      clear(call.id(), connection, cause);
    }
    Cause why = call.failure() == null ? cause : call.failure().cause();
    emit(new TalkEvent.CallCleared(call.id(), now, why));
  }

  void fail(CallId call, Cause cause, List<PersonId> missedBy) {
    emit(new ReachEvent.Failed(call, now, cause, missedBy, now.plus(settings().times().tone())));
  }
}
