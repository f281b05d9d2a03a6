package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.routing.Office;
import oficina.core.routing.Route;
import oficina.core.routing.Router;

/**
 * One decision in the making. Each consequence is applied to a draft of the state at once, so that
 * the next one is decided on what will be true by then; the exchange itself is not touched.
 */
final class Draft {
  /** A parked caller whom nobody takes back is not kept for ever. */
  private static final int MOST_COME_BACKS = 3;

  final ExchangeState state;
  final Settings settings;
  final Office office;
  final Instant now;
  private final List<ExchangeEvent> events = new ArrayList<>();

  Draft(ExchangeState state, Settings settings, Office office, Instant now) {
    this.state = state.draft();
    this.settings = settings;
    this.office = office;
    this.now = now;
  }

  List<ExchangeEvent> events() {
    return List.copyOf(events);
  }

  void emit(ExchangeEvent event) {
    state.apply(event);
    events.add(event);
  }

  Call call(CallId id) {
    return state.call(id);
  }

  // --- who and where ----------------------------------------------------------------------------

  /** Who a dialled number belongs to; a public number of our own is not sent around outside. */
  Party party(Dialled dialled) {
    if (dialled instanceof Dialled.Internal internal) {
      if (settings.isSlot(internal.extension())) {
        return new Party.Slot(internal.extension());
      }
      return office
          .directory()
          .personAt(internal.extension())
          .<Party>map(person -> new Party.Employee(person.id()))
          .or(() -> office.directory().groupAt(internal.extension()).map(Draft::members))
          .orElse(new Party.Nobody(internal.extension()));
    }
    if (dialled instanceof Dialled.Outside outside) {
      return owner(outside.number());
    }
    return new Party.Emergency(((Dialled.Emergency) dialled).digits());
  }

  /** Who in the office a public number belongs to, or else the number itself. */
  Party owner(PhoneNumber number) {
    return office
        .directory()
        .personAt(number)
        .<Party>map(person -> new Party.Employee(person.id()))
        .or(() -> office.directory().groupAt(number).map(Draft::members))
        .orElse(new Party.Outside(number));
  }

  private static Party members(Group group) {
    return new Party.Members(group.id());
  }

  /** Whether a further call may ring at this person. */
  boolean takesCalls(PersonId person) {
    List<CallId> inHand = state.inHand(person);
    if (inHand.isEmpty()) {
      return true;
    }
    boolean waiting = office.directory().person(person).map(Person::callWaiting).orElse(false);
    return waiting && inHand.size() < settings.callsInHand();
  }

  /** Where a call goes that is for this party; whoever is in it already is not rung. */
  Route route(Party target, Call inProgress) {
    return Router.route(
        office, target, person -> takesCalls(person) && inProgress.of(person) == null);
  }

  /** Whether this person has a device that would ring and nothing to do with any call. */
  boolean idle(PersonId person) {
    return office.reachable().test(person) && state.inHand(person).isEmpty();
  }

  /** Has the call ring, go out or fail, as its route says. */
  void follow(CallId call, Route route) {
    if (route instanceof Route.Ring ring) {
      Instant until = now.plus(ring.time());
      for (PersonId person : ring.people()) {
        emit(
            new ExchangeEvent.Delivered(
                call, now, call(call).nextLeg(), new Party.Employee(person), ring.line(), until));
      }
    } else if (route instanceof Route.GoOut out) {
      goOut(call, out.to());
    } else if (route instanceof Route.Refuse refuse) {
      fail(call, refuse.cause(), refuse.missedBy());
    }
  }

  private void goOut(CallId call, Party to) {
    boolean emergency = to instanceof Party.Emergency;
    if (!emergency && state.outsideLinesTaken() >= settings.outsideLines()) {
      fail(call, Cause.LINES_BUSY, List.of());
      return;
    }
    emit(
        new ExchangeEvent.NetworkReached(
            call, now, call(call).nextLeg(), to, now.plus(settings.networkPatience())));
  }

  // --- what follows from what -------------------------------------------------------------------

  void hold(Call call, Connection mine) {
    emit(new ExchangeEvent.Held(call.id(), now, mine.leg(), now.plus(settings.holdReminder())));
  }

  /** Whoever turns to another call leaves the one they were speaking on in good order. */
  void holdActive(PersonId person) {
    for (CallId id : state.inHand(person)) {
      Call call = call(id);
      Connection connection = call.of(person);
      if (connection.state() != ConnectionState.CONNECTED) {
        continue;
      }
      if (call.failure() != null) {
        // Nobody is there to be held: the tone has told its reason.
        gone(call, connection, Cause.NORMAL);
      } else {
        hold(call, connection);
      }
    }
  }

  /** This party answers; wherever else the call rings, it stops. */
  void establish(Call call, Connection answering, DeviceId device) {
    emit(new ExchangeEvent.Established(call.id(), now, answering.leg(), device));
    for (Connection other : call.connections()) {
      if (!other.answered() && other.leg() != answering.leg()) {
        clear(call.id(), other, Cause.ANSWERED_ELSEWHERE);
      }
    }
  }

  /** This employee takes part from now on, whether it rings at them or not. */
  void join(Call call, PersonId person, Party line, DeviceId device) {
    holdActive(person);
    if (call.of(person) == null) {
      Party me = new Party.Employee(person);
      emit(new ExchangeEvent.Delivered(call.id(), now, call.nextLeg(), me, line, now));
    }
    Call ringing = call(call.id());
    establish(ringing, ringing.of(person), device);
  }

  void clear(CallId call, Connection leaving, Cause cause) {
    emit(new ExchangeEvent.ConnectionCleared(call, now, leaving.leg(), cause));
  }

  /** A party leaves, or will not come; whoever can no longer speak with anybody is let go. */
  void gone(Call call, Connection leaving, Cause cause) {
    clear(call.id(), leaving, cause);
    CallId callBack = call.origin().callBack();
    boolean notWanted = leaving.rings() && leaving.party().equals(call.caller());
    if (notWanted && state.callBack(callBack) != null) {
      emit(new ExchangeEvent.CallBackCleared(callBack, now, cause));
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
    if (somebodyThere && left.failure() == null) {
      if (left.sent() != null) {
        notTaken(left, cause);
        return;
      }
      if (left.answered() == null) {
        fail(call.id(), cause, List.of());
        return;
      }
    }
    end(left, somebodyThere || left.answered() != null ? Cause.NORMAL : Cause.CALLER_GAVE_UP);
  }

  /**
   * Nobody took a call that was sent on: back to the sender, then to the front desk, then it ends.
   * A parked one goes on waiting a few times before that.
   */
  private void notTaken(Call call, Cause cause) {
    if (call.sent().stage() == Call.Stage.TO_TARGET && ringsBack(call, call.sent(), cause)) {
      return;
    }
    if (call.sent().stage() != Call.Stage.FRONT_DESK && ringsFrontDesk(call, call.sent(), cause)) {
      return;
    }
    if (call.parked() == null || !waitsAgain(call)) {
      fail(call.id(), cause, List.of());
    }
  }

  /** A call has waited in its slot long enough. */
  void comeBack(Call call) {
    Call.Sent parked =
        new Call.Sent(call.parked().by(), new Party.Slot(call.parked().slot()), null, null);
    if (!ringsBack(call, parked, Cause.PARKED_TOO_LONG)
        && !ringsFrontDesk(call, parked, Cause.PARKED_TOO_LONG)
        && !waitsAgain(call)) {
      fail(call.id(), Cause.NO_ANSWER, List.of());
    }
  }

  private boolean ringsBack(Call call, Call.Sent sent, Cause why) {
    return rings(call, sent, Call.Stage.BACK, new Party.Employee(sent.by()), why);
  }

  private boolean ringsFrontDesk(Call call, Call.Sent sent, Cause why) {
    return settings.frontDesk() != null
        && rings(call, sent, Call.Stage.FRONT_DESK, new Party.Members(settings.frontDesk()), why);
  }

  private boolean rings(Call call, Call.Sent sent, Call.Stage stage, Party at, Cause why) {
    Route route = route(at, call);
    if (!(route instanceof Route.Ring)) {
      return false;
    }
    sendOn(call, new Call.Sent(sent.by(), sent.to(), stage, why), route);
    return true;
  }

  private boolean waitsAgain(Call call) {
    if (call.parked().comeBacks() >= MOST_COME_BACKS) {
      return false;
    }
    Call.Parking again = call.parked().again(now.plus(settings.parkComeBack()));
    emit(new ExchangeEvent.Parked(call.id(), now, again));
    return true;
  }

  void sendOn(Call call, Call.Sent sent, Route route) {
    emit(new ExchangeEvent.SentOn(call.id(), now, sent));
    follow(call.id(), route);
  }

  void end(Call call, Cause cause) {
    for (Connection connection : call.connections()) {
      clear(call.id(), connection, cause);
    }
    Cause why = call.failure() == null ? cause : call.failure().cause();
    emit(new ExchangeEvent.CallCleared(call.id(), now, why));
  }

  void fail(CallId call, Cause cause, List<PersonId> missedBy) {
    emit(new ExchangeEvent.Failed(call, now, cause, missedBy, now.plus(settings.toneTime())));
  }
}
