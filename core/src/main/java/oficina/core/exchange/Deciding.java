package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.exchange.Decision.Accepted;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.routing.Office;
import oficina.core.routing.Route;
import oficina.core.routing.Router;

/**
 * One decision. Each consequence is applied to a draft at once, so that the next one is decided on
 * what will be true by then; the exchange itself is not touched.
 */
final class Deciding {
  private final ExchangeState state;
  private final ExchangeState draft;
  private final Settings settings;
  private final Office office;
  private final Instant now;
  private final List<ExchangeEvent> events = new ArrayList<>();

  Deciding(ExchangeState state, Settings settings, Office office, Instant now) {
    this.state = state;
    this.draft = state.draft();
    this.settings = settings;
    this.office = office;
    this.now = now;
  }

  Decision decide(Command command) {
    Refusal refusal = carryOut(command);
    return refusal == null ? new Accepted(List.copyOf(events)) : refusal;
  }

  private Refusal carryOut(Command command) {
    if (command instanceof Command.MakeCall c) {
      return makeCall(c);
    }
    if (command instanceof Command.ByPerson c) {
      return byPerson(c);
    }
    if (command instanceof Command.Arrive c) {
      return arrive(c);
    }
    if (command instanceof Command.NetworkRings c) {
      return byNetwork(c.call(), c.leg(), this::networkRings);
    }
    if (command instanceof Command.NetworkAnswers c) {
      return byNetwork(c.call(), c.leg(), this::networkAnswers);
    }
    if (command instanceof Command.NetworkFails c) {
      return byNetwork(c.call(), c.leg(), (call, leg) -> gone(call, leg, c.cause()));
    }
    if (command instanceof Command.NetworkClears c) {
      return byNetwork(c.call(), c.leg(), (call, leg) -> gone(call, leg, Cause.NORMAL));
    }
    state.dueBy(now).forEach(this::timeIsUp);
    return null;
  }

  // --- placing a call -------------------------------------------------------------------------

  private Refusal makeCall(Command.MakeCall c) {
    if (office.directory().person(c.person()).isEmpty()) {
      return Refusal.of(Reason.UNKNOWN_PERSON);
    }
    if (draft.call(c.call()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    if (c.to() instanceof Dialled.NotCallable no) {
      return new Refusal(Reason.NOT_CALLABLE, Map.of("why", no.why().name(), "text", no.text()));
    }
    Party called = party(c.to());
    Party caller = new Party.Employee(c.person());
    if (called.equals(caller)) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    boolean emergency = called instanceof Party.Emergency;
    if (!emergency) {
      Refusal refusal = mayPlaceAnother(c.person());
      if (refusal != null) {
        return refusal;
      }
    }
    holdActive(c.person());
    String after = c.to() instanceof Dialled.Outside outside ? outside.afterAnswer() : "";
    CallerId callerId = called.usesOutsideLine() ? c.callerId() : CallerId.WITHHELD;
    emit(
        new ExchangeEvent.Originated(
            c.call(), now, 1, caller, called, c.device(), callerId, after));
    follow(c.call(), Router.route(office, called, this::takesCalls));
    return null;
  }

  /** Who a dialled number belongs to; a public number of our own is not sent around outside. */
  private Party party(Dialled dialled) {
    if (dialled instanceof Dialled.Internal internal) {
      return office
          .directory()
          .personAt(internal.extension())
          .<Party>map(person -> new Party.Employee(person.id()))
          .or(() -> office.directory().groupAt(internal.extension()).map(Deciding::members))
          .orElse(new Party.Nobody(internal.extension()));
    }
    if (dialled instanceof Dialled.Outside outside) {
      return owner(outside.number());
    }
    return new Party.Emergency(((Dialled.Emergency) dialled).digits());
  }

  private Party owner(PhoneNumber number) {
    return office
        .directory()
        .personAt(number)
        .<Party>map(person -> new Party.Employee(person.id()))
        .or(() -> office.directory().groupAt(number).map(Deciding::members))
        .orElse(new Party.Outside(number));
  }

  private static Party members(Group group) {
    return new Party.Members(group.id());
  }

  private Refusal mayPlaceAnother(PersonId person) {
    List<CallId> inHand = draft.inHand(person);
    for (CallId id : inHand) {
      Call call = draft.call(id);
      if (call.answered() == null
          && call.failure() == null
          && person.equals(call.caller().employee())) {
        return Refusal.of(Reason.ALREADY_CALLING);
      }
    }
    if (inHand.size() >= settings.callsInHand()) {
      return Refusal.of(Reason.TOO_MANY_CALLS, "limit", Integer.toString(settings.callsInHand()));
    }
    return null;
  }

  private boolean takesCalls(PersonId person) {
    List<CallId> inHand = draft.inHand(person);
    if (inHand.isEmpty()) {
      return true;
    }
    boolean waiting = office.directory().person(person).map(Person::callWaiting).orElse(false);
    return waiting && inHand.size() < settings.callsInHand();
  }

  private Refusal arrive(Command.Arrive c) {
    if (draft.call(c.call()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    Party called = owner(c.to());
    emit(
        new ExchangeEvent.Originated(
            c.call(), now, 1, new Party.Outside(c.from()), called, null, CallerId.WITHHELD, ""));
    if (draft.outsideLinesTaken() > settings.outsideLines()) {
      // The network would have refused it already; the caller hears that all lines are taken.
      List<PersonId> missedBy = called.employee() == null ? List.of() : List.of(called.employee());
      fail(c.call(), Cause.LINES_BUSY, missedBy);
    } else if (called instanceof Party.Outside) {
      fail(c.call(), Cause.NUMBER_NOT_IN_USE, List.of());
    } else {
      follow(c.call(), Router.route(office, called, this::takesCalls));
    }
    return null;
  }

  private void follow(CallId call, Route route) {
    if (route instanceof Route.Ring ring) {
      Instant until = now.plus(ring.time());
      for (PersonId person : ring.people()) {
        int leg = draft.call(call).nextLeg();
        emit(
            new ExchangeEvent.Delivered(
                call, now, leg, new Party.Employee(person), ring.line(), until));
      }
    } else if (route instanceof Route.GoOut out) {
      goOut(call, out.to());
    } else if (route instanceof Route.Refuse refuse) {
      fail(call, refuse.cause(), refuse.missedBy());
    }
  }

  private void goOut(CallId call, Party to) {
    boolean emergency = to instanceof Party.Emergency;
    if (!emergency && draft.outsideLinesTaken() >= settings.outsideLines()) {
      fail(call, Cause.LINES_BUSY, List.of());
      return;
    }
    int leg = draft.call(call).nextLeg();
    emit(
        new ExchangeEvent.NetworkReached(call, now, leg, to, now.plus(settings.networkPatience())));
  }

  // --- what an employee does with a call ------------------------------------------------------

  private Refusal byPerson(Command.ByPerson c) {
    Call call = draft.call(c.call());
    if (call == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Connection mine = call.of(c.person());
    if (mine == null) {
      return notMine(call, c.person());
    }
    if (c instanceof Command.Answer answer) {
      return answer(call, mine, answer);
    }
    if (c instanceof Command.Decline) {
      return ifRinging(mine, () -> gone(call, mine, Cause.DECLINED));
    }
    if (c instanceof Command.Silence) {
      return ifRinging(mine, () -> silence(call, mine));
    }
    if (c instanceof Command.Clear) {
      gone(call, mine, mine.rings() ? Cause.DECLINED : Cause.NORMAL);
      return null;
    }
    if (c instanceof Command.Hold) {
      return hold(call, mine);
    }
    if (c instanceof Command.Retrieve) {
      return retrieve(call, mine);
    }
    return sendDigits(call, mine, ((Command.SendDigits) c).digits());
  }

  /** Somebody without a part in the call learns nothing of it, unless it has just rung for them. */
  private Refusal notMine(Call call, PersonId person) {
    if (call.rang().contains(person)) {
      for (Connection connection : call.connections()) {
        PersonId other = connection.party().employee();
        if (other != null && connection.answered() && !connection.party().equals(call.caller())) {
          return Refusal.of(Reason.ANSWERED_BY_OTHER, "person", other.toString());
        }
      }
    }
    return Refusal.of(Reason.NO_SUCH_CALL);
  }

  private Refusal ifRinging(Connection mine, Runnable action) {
    if (!mine.rings()) {
      return Refusal.of(Reason.NOT_RINGING);
    }
    action.run();
    return null;
  }

  private Refusal answer(Call call, Connection mine, Command.Answer c) {
    if (!mine.rings()) {
      boolean placed = mine.party().equals(call.caller());
      return Refusal.of(placed ? Reason.NOT_RINGING : Reason.ANSWERED_HERE);
    }
    holdActive(c.person());
    establish(call, mine, c.device());
    return null;
  }

  private void silence(Call call, Connection mine) {
    if (!mine.silenced()) {
      emit(new ExchangeEvent.Silenced(call.id(), now, mine.leg()));
    }
  }

  private Refusal hold(Call call, Connection mine) {
    if (!call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (mine.state() != ConnectionState.CONNECTED) {
      return Refusal.of(Reason.NOT_ACTIVE);
    }
    emit(new ExchangeEvent.Held(call.id(), now, mine.leg()));
    return null;
  }

  private Refusal retrieve(Call call, Connection mine) {
    if (mine.state() != ConnectionState.HOLD) {
      return Refusal.of(Reason.NOT_HELD);
    }
    holdActive(mine.party().employee());
    emit(new ExchangeEvent.Retrieved(call.id(), now, mine.leg()));
    return null;
  }

  /** Whoever turns to another call leaves the one they were speaking on in good order. */
  private void holdActive(PersonId person) {
    for (CallId id : draft.inHand(person)) {
      Call call = draft.call(id);
      Connection connection = call.of(person);
      if (connection.state() != ConnectionState.CONNECTED) {
        continue;
      }
      if (call.failure() != null) {
        // Nobody is there to be held: the tone has told its reason.
        gone(call, connection, Cause.NORMAL);
      } else {
        emit(new ExchangeEvent.Held(id, now, connection.leg()));
      }
    }
  }

  private Refusal sendDigits(Call call, Connection mine, String digits) {
    if (!digits.matches("[0-9A-D*#p]{1,32}")) {
      return Refusal.of(Reason.NOT_DIGITS);
    }
    if (mine.state() != ConnectionState.CONNECTED || !call.conversation()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    for (Connection connection : call.connections()) {
      if (connection.party().usesOutsideLine()) {
        emit(new ExchangeEvent.DigitsSent(call.id(), now, connection.leg(), digits));
        return null;
      }
    }
    return Refusal.of(Reason.NO_DIGITS_INSIDE);
  }

  // --- what the network reports ---------------------------------------------------------------

  private interface OnLeg {
    void happens(Call call, Connection leg);
  }

  private Refusal byNetwork(CallId id, int leg, OnLeg what) {
    Call call = draft.call(id);
    Connection connection = call == null ? null : call.leg(leg);
    if (connection == null || !connection.party().usesOutsideLine()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    what.happens(call, connection);
    return null;
  }

  private void networkRings(Call call, Connection leg) {
    if (leg.state() == ConnectionState.INITIATED) {
      emit(
          new ExchangeEvent.Delivered(
              call.id(), now, leg.leg(), leg.party(), leg.line(), leg.due()));
    }
  }

  private void networkAnswers(Call call, Connection leg) {
    if (leg.answered()) {
      return;
    }
    establish(call, leg, null);
    if (!call.afterAnswer().isEmpty()) {
      emit(new ExchangeEvent.DigitsSent(call.id(), now, leg.leg(), call.afterAnswer()));
    }
  }

  // --- what follows ---------------------------------------------------------------------------

  private void establish(Call call, Connection answering, DeviceId device) {
    emit(new ExchangeEvent.Established(call.id(), now, answering.leg(), device));
    for (Connection other : call.connections()) {
      if (other.rings() && other.leg() != answering.leg()) {
        emit(
            new ExchangeEvent.ConnectionCleared(
                call.id(), now, other.leg(), Cause.ANSWERED_ELSEWHERE));
      }
    }
  }

  /** A party leaves, or will not come; whoever can no longer speak with anybody is let go. */
  private void gone(Call call, Connection leaving, Cause cause) {
    emit(new ExchangeEvent.ConnectionCleared(call.id(), now, leaving.leg(), cause));
    Call left = draft.call(call.id());
    if (left.conversation()) {
      return;
    }
    boolean callerThere = left.connections().stream().anyMatch(Connection::answered);
    boolean stillWanted = left.connections().stream().anyMatch(c -> !c.answered());
    if (callerThere && stillWanted) {
      return;
    }
    if (callerThere && left.answered() == null && left.failure() == null) {
      fail(call.id(), cause, List.of());
      return;
    }
    end(left, callerThere || left.answered() != null ? Cause.NORMAL : Cause.CALLER_GAVE_UP);
  }

  private void end(Call call, Cause cause) {
    for (Connection connection : call.connections()) {
      emit(new ExchangeEvent.ConnectionCleared(call.id(), now, connection.leg(), cause));
    }
    Cause why = call.failure() == null ? cause : call.failure().cause();
    emit(new ExchangeEvent.CallCleared(call.id(), now, why));
  }

  private void fail(CallId call, Cause cause, List<PersonId> missedBy) {
    emit(new ExchangeEvent.Failed(call, now, cause, missedBy, now.plus(settings.toneTime())));
  }

  private void timeIsUp(CallId id) {
    Call call = draft.call(id);
    if (call.failure() != null && !call.failure().until().isAfter(now)) {
      end(call, call.failure().cause());
      return;
    }
    for (Connection connection : call.connections()) {
      if (connection.due() != null && !connection.due().isAfter(now)) {
        gone(draft.call(id), connection, Cause.NO_ANSWER);
      }
    }
  }

  private void emit(ExchangeEvent event) {
    draft.apply(event);
    events.add(event);
  }
}
