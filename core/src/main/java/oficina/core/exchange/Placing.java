package oficina.core.exchange;

import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;

/** How calls begin: placed by an employee or brought in by the network. */
record Placing(Draft draft) {

  Refusal make(Command.MakeCall c) {
    return place(c.call(), c.person(), c.device(), c.to(), c.callerId(), null);
  }

  /**
   * Places a call.
   *
   * @param announces the held call it is placed to announce; null when it is for none
   */
  Refusal place(
      CallId id,
      PersonId person,
      DeviceId device,
      Dialled to,
      CallerId callerId,
      CallId announces) {
    if (draft.office.directory().person(person).isEmpty()) {
      return Refusal.of(Reason.UNKNOWN_PERSON);
    }
    if (draft.call(id) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    if (to instanceof Dialled.NotCallable no) {
      return notCallable(no);
    }
    Party called = draft.party(to);
    if (called instanceof Party.Slot slot) {
      return new Parking(draft).dialled(slot, person, device);
    }
    Party caller = new Party.Employee(person);
    if (called.equals(caller)) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    if (!(called instanceof Party.Emergency)) {
      Refusal refusal = mayPlaceAnother(person);
      if (refusal != null) {
        return refusal;
      }
    }
    draft.holdActive(person);
    CallerId shown = called.usesOutsideLine() ? callerId : CallerId.WITHHELD;
    draft.emit(
        new ExchangeEvent.Originated(
            id, draft.now, 1, caller, called, device, shown, afterAnswer(to), announces));
    draft.follow(id, draft.route(called, draft.call(id)));
    return null;
  }

  static Refusal notCallable(Dialled.NotCallable no) {
    return new Refusal(Reason.NOT_CALLABLE, Map.of("why", no.why().name(), "text", no.text()));
  }

  static String afterAnswer(Dialled to) {
    return to instanceof Dialled.Outside outside ? outside.afterAnswer() : "";
  }

  private Refusal mayPlaceAnother(PersonId person) {
    List<CallId> inHand = draft.state.inHand(person);
    for (CallId id : inHand) {
      Call call = draft.call(id);
      if (call.answered() == null
          && call.failure() == null
          && person.equals(call.caller().employee())
          && !call.of(person).rings()) {
        return Refusal.of(Reason.ALREADY_CALLING);
      }
    }
    int limit = draft.settings.callsInHand();
    return inHand.size() >= limit
        ? Refusal.of(Reason.TOO_MANY_CALLS, "limit", Integer.toString(limit))
        : null;
  }

  Refusal arrive(Command.Arrive c) {
    if (draft.call(c.call()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    Party called = draft.owner(c.to());
    Party caller = new Party.Outside(c.from());
    draft.emit(
        new ExchangeEvent.Originated(
            c.call(), draft.now, 1, caller, called, null, CallerId.WITHHELD, "", null));
    if (draft.state.outsideLinesTaken() > draft.settings.outsideLines()) {
      // The network would have refused it already; the caller hears that all lines are taken.
      List<PersonId> missedBy = called.employee() == null ? List.of() : List.of(called.employee());
      draft.fail(c.call(), Cause.LINES_BUSY, missedBy);
    } else if (called instanceof Party.Outside) {
      draft.fail(c.call(), Cause.NUMBER_NOT_IN_USE, List.of());
    } else {
      draft.follow(c.call(), draft.route(called, draft.call(c.call())));
    }
    return null;
  }
}
