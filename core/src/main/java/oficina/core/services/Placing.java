package oficina.core.services;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Reachability;
import oficina.core.draft.Refusals;
import oficina.core.events.ReachEvent;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.PersonId;
import oficina.core.routing.Called;
import oficina.core.routing.Lead;
import oficina.core.routing.Ways;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** How calls begin: placed by an employee or brought in by the network. */
public final class Placing {
  private final Draft draft;
  private final Reachability reach;
  private final Onward onward;
  private final Answering answering;
  private final OutsidePhones phones;
  private final Parking parking;
  private final Blocking blocking;

  /** For one decision. */
  public Placing(Consequences then, OutsidePhones phones, Parking parking, Blocking blocking) {
    draft = then.draft();
    reach = then.reach();
    onward = then.onward();
    answering = then.answering();
    this.phones = phones;
    this.parking = parking;
    this.blocking = blocking;
  }

  /** Places a call, or takes the one that waits in the slot that was dialled. */
  public @Nullable Refusal make(CallCommand.MakeCall c) {
    return place(c, null);
  }

  /**
   * Places a call.
   *
   * @param announces the held call it is placed to announce; null when it is for none
   */
  public @Nullable Refusal place(CallCommand.MakeCall c, @Nullable CallId announces) {
    PersonId person = c.person();
    if (draft.office.directory().person(person).isEmpty()) {
      return Refusal.of(Reason.UNKNOWN_PERSON);
    }
    if (draft.call(c.call()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    Refusal refusal = Refusals.notCallable(draft, person, c.to());
    if (refusal != null) {
      return refusal;
    }
    Party called = Called.party(draft.office, c.to());
    if (called.slot() != null) {
      refusal = phones.mustBeThere(person, c.device());
      if (refusal != null) {
        return refusal;
      }
      return parking.dialled(called.slot(), person, c.device());
    }
    Party caller = new Party.Employee(person);
    boolean readOut = draft.settings().voicemail().extension() != null;
    if (called.takesKeys() || (readOut && called.equals(caller))) {
      called = new Party.Attendant(person); // whoever calls their own number wants their messages
    }
    if (called.equals(caller) || caller.equals(called.mailboxOf())) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    refusal = called.alwaysGoesOut() ? null : mayPlaceAnother(person);
    if (refusal != null) {
      return refusal;
    }
    if (c.line() != null && !Permissions.mayCallOn(draft.office, c.line(), person)) {
      return Refusal.of(Reason.NOT_YOUR_LINE);
    }
    if (c.behalf() != null && !Permissions.mayActFor(draft.office, person, c.behalf())) {
      return Refusal.of(Reason.NOT_A_DELEGATE, c.behalf());
    }
    DeviceId device = called.alwaysGoesOut() ? phones.atOnce(person, c.device()) : c.device();
    refusal = device.isOutside() ? phones.mayUse(person, called) : null;
    if (refusal != null) {
      return refusal;
    }
    answering.holdActive(person);
    CallerId shown = shownTo(called, c);
    draft.emit(
        new ReachEvent.Originated(
            c.call(),
            draft.now,
            1,
            caller,
            called,
            device,
            shown,
            c.to().afterAnswer(),
            announces,
            null,
            Ways.whenDialled(called),
            called.equals(principal(c)) ? null : c.behalf()));
    if (device.isOutside() && !phones.isThere(person)) {
      phones.ring(person, c.call(), /* places= */ true);
      return null;
    }
    Lead lead = reach.walk(draft.call(c.call())).to(called);
    onward.follow(c.call(), lead, List.of(), shown);
    return null;
  }

  /** Nobody calls a colleague in that colleague's own name. */
  private static @Nullable Party principal(CallCommand.MakeCall c) {
    return c.behalf() == null ? null : new Party.Employee(c.behalf());
  }

  /** What the called party is shown. Who calls for help has to be found. */
  private CallerId shownTo(Party called, CallCommand.MakeCall c) {
    if (!called.usesOutsideLine()) {
      return CallerId.WITHHELD;
    }
    if (called.alwaysGoesOut()) {
      return draft.office.callerId(c.person(), CallerIdChoice.DIRECT);
    }
    return c.line() == null
        ? draft.office.callerId(c.behalf() == null ? c.person() : c.behalf(), c.callerId())
        : new CallerId(draft.office.directory().group(c.line()).orElseThrow().number());
  }

  private @Nullable Refusal mayPlaceAnother(PersonId person) {
    for (CallId id : draft.state.inHand(person)) {
      Call call = draft.call(id);
      if (call.answered() == null
          && call.failure() == null
          && call.mailbox() == null
          && person.equals(call.caller().employee())
          && !call.of(person).rings()) {
        return Refusal.of(Reason.ALREADY_CALLING);
      }
    }
    return Refusals.handsFull(draft, person);
  }

  /** A call comes in from the network. */
  public @Nullable Refusal arrive(NetworkCommand.Arrive c) {
    if (draft.call(c.call()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    Party called = Called.owner(draft.office, c.to());
    Party caller = new Party.Outside(c.from());
    draft.emit(
        new ReachEvent.Originated(
            c.call(),
            draft.now,
            1,
            caller,
            called,
            null,
            CallerId.WITHHELD,
            "",
            null,
            null,
            Ways.whenComingIn(draft.office, called, caller)));
    if (draft.state.outsideLinesTaken() > draft.settings().limits().outsideLines()) {
      // The network would have refused it already; the caller hears that all lines are taken.
      onward.fail(c.call(), Cause.LINES_BUSY, draft.office.people(called));
    } else if (called.usesOutsideLine()) {
      onward.fail(c.call(), Cause.NUMBER_NOT_IN_USE, List.of());
    } else if (!blocking.keepsOut(draft.call(c.call()), c.from())) {
      Call call = draft.call(c.call());
      onward.follow(c.call(), reach.walk(call).to(called), call.ways(), CallerId.WITHHELD);
    }
    return null;
  }
}
