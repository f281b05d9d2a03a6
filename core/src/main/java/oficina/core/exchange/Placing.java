package oficina.core.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.events.ReachEvent;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.numbers.Dialled;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.PersonId;
import oficina.core.routing.Lead;
import oficina.core.routing.Way;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** How calls begin: placed by an employee or brought in by the network. */
record Placing(Draft draft) {

  @Nullable Refusal make(CallCommand.MakeCall c) {
    return place(c, null);
  }

  /**
   * Places a call.
   *
   * @param announces the held call it is placed to announce; null when it is for none
   */
  @Nullable Refusal place(CallCommand.MakeCall c, @Nullable CallId announces) {
    PersonId person = c.person();
    if (draft.office.directory().person(person).isEmpty()) {
      return Refusal.of(Reason.UNKNOWN_PERSON);
    }
    if (draft.call(c.call()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    Refusal refusal = notCallable(c.to());
    if (refusal != null) {
      return refusal;
    }
    Party called = Called.party(draft.office, c.to());
    OutsidePhones phones = new OutsidePhones(draft);
    if (called.slot() != null) {
      refusal = phones.mustBeThere(person, c.device());
      if (refusal != null) {
        return refusal;
      }
      return new Parking(draft).dialled(called.slot(), person, c.device());
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
      return Refusal.of(Reason.NOT_A_DELEGATE, "person", c.behalf().toString());
    }
    DeviceId device = called.alwaysGoesOut() ? phones.atOnce(person, c.device()) : c.device();
    refusal = device.isOutside() ? phones.mayUse(person, called) : null;
    if (refusal != null) {
      return refusal;
    }
    draft.holdActive(person);
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
            byRules(called),
            called.equals(principal(c)) ? null : c.behalf()));
    if (device.isOutside() && !phones.isThere(person)) {
      phones.ring(person, c.call(), /* places= */ true);
      return null;
    }
    Lead lead = draft.walk(draft.call(c.call())).to(called);
    draft.follow(c.call(), lead, List.of(), shown);
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

  /** Refused when a text means nothing that can be called. */
  static @Nullable Refusal notCallable(Dialled to) {
    Dialled.NotCallable no = to.refused();
    return no == null
        ? null
        : new Refusal(Reason.NOT_CALLABLE, Map.of("why", no.why().name(), "text", no.text()));
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
    return draft.handsFull(person);
  }

  /** What people and lines have decided counts when nobody answers there. */
  private static List<Way> byRules(Party called) {
    boolean decides = called.employee() != null || called.group() != null;
    return decides ? List.of(new Way(new Way.ByRules(called), Way.Reason.BY_RULE)) : List.of();
  }

  /**
   * What follows when nobody takes a call there. A caller from outside who reaches nobody can leave
   * a message; colleagues are asked first.
   */
  List<Way> ways(Party called, Party caller) {
    List<Way> ways = new ArrayList<>(byRules(called));
    if (caller.usesOutsideLine() && draft.office.hasMailbox(called)) {
      ways.add(new Way(new Way.ToMailbox(called), Way.Reason.MESSAGE));
    }
    return ways;
  }

  @Nullable Refusal arrive(NetworkCommand.Arrive c) {
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
            ways(called, caller)));
    if (draft.state.outsideLinesTaken() > draft.settings().limits().outsideLines()) {
      // The network would have refused it already; the caller hears that all lines are taken.
      draft.fail(c.call(), Cause.LINES_BUSY, draft.office.people(called));
    } else if (called.usesOutsideLine()) {
      draft.fail(c.call(), Cause.NUMBER_NOT_IN_USE, List.of());
    } else if (!new Blocking(draft).keepsOut(draft.call(c.call()), c.from())) {
      Call call = draft.call(c.call());
      draft.follow(c.call(), draft.walk(call).to(called), call.ways(), CallerId.WITHHELD);
    }
    return null;
  }
}
