package oficina.core.services;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Refusals;
import oficina.core.office.Delegations;
import oficina.core.people.PersonId;
import oficina.core.services.ActedFor.Service;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/**
 * What delegates and those for whom they act see of each other's calls, and do with them. A
 * delegate sees every call of the one they act for; the latter sees what is done in their name.
 */
public final class Delegating {
  private final Draft draft;
  private final Clearing clearing;
  private final Answering answering;

  /** For one decision. */
  public Delegating(Consequences then) {
    draft = then.draft();
    clearing = then.clearing();
    answering = then.answering();
  }

  /** Goes on with a call that a colleague has, on whose behalf one acts or who acts for oneself. */
  public @Nullable Refusal takeOver(CallCommand.TakeOver c) {
    Call call = draft.call(c.call());
    if (call != null && call.of(c.person()) != null) {
      return Refusal.of(Reason.NOT_TO_TAKE_OVER); // it is in their own hand
    }
    Connection theirs = call == null ? null : theirs(call, c.person());
    if (theirs == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Refusal refusal = mayTakeOver(call, theirs, c.person());
    if (refusal != null) {
      return refusal;
    }
    Party line = theirs.line() == null ? theirs.party() : theirs.line();
    answering.join(call, c.person(), line, c.device());
    if (theirs.answered()) {
      Call joined = draft.call(call.id());
      clearing.clear(call.id(), joined.leg(theirs.leg()), Cause.TRANSFERRED);
    }
    return null;
  }

  private @Nullable Refusal mayTakeOver(Call call, Connection theirs, PersonId person) {
    if (theirs.rings()) {
      boolean own = call.ringsBackAt(theirs) || person.equals(call.caller().employee());
      return own ? Refusal.of(Reason.NOT_TO_TAKE_OVER) : Refusals.handsFull(draft, person);
    }
    boolean free = draft.state.inHand(theirs.party().employee()).stream().noneMatch(waits(call));
    boolean ofTwo = call.settled() && !call.conference() && call.heldFor() == null;
    if (theirs.state() != ConnectionState.HOLD || !ofTwo || !free) {
      return Refusal.of(Reason.NOT_TO_TAKE_OVER);
    }
    return Refusals.handsFull(draft, person);
  }

  /** Whether the holder has turned to another call for the sake of this one. */
  private Predicate<CallId> waits(Call call) {
    return id -> call.id().equals(draft.call(id).heldFor());
  }

  /** The connection of whoever has it, through which it concerns this person; null when none. */
  private @Nullable Connection theirs(Call call, PersonId person) {
    if (call.of(person) != null) {
      return null;
    }
    return call.connections().stream()
        .filter(each -> each.party().employee() != null && concerns(call, each, person))
        .findFirst()
        .orElse(null);
  }

  private boolean concerns(Call call, Connection each, PersonId person) {
    Delegations delegations = draft.office.delegations();
    PersonId holder = each.party().employee();
    return delegations.actsFor(person, holder)
        || (delegations.actsFor(holder, person) && inTheNameOf(person, call, each));
  }

  private static boolean inTheNameOf(PersonId person, Call call, Connection each) {
    boolean placed = each.party().equals(call.caller());
    Party line = placed ? null : each.line();
    return placed ? person.equals(call.behalf()) : line != null && person.equals(line.employee());
  }

  /** The calls of others that this person sees as a delegate, or that are theirs by one. */
  public List<ActedFor> seenBy(PersonId person) {
    List<ActedFor> seen = new ArrayList<>();
    for (PersonId other : draft.office.delegations().counterparts(person)) {
      for (CallId id : draft.state.inHand(other)) {
        Call call = draft.call(id);
        Connection theirs = theirs(call, person);
        if (theirs != null && seen.stream().noneMatch(each -> each.call().equals(id))) {
          seen.add(new ActedFor(id, theirs.party().employee(), service(call, theirs, person)));
        }
      }
    }
    seen.sort(Comparator.comparing(each -> draft.call(each.call()).began()));
    return seen;
  }

  private @Nullable Service service(Call call, Connection theirs, PersonId person) {
    if (mayTakeOver(call, theirs, person) != null) {
      return null;
    }
    return theirs.rings() ? Service.ANSWER : Service.TAKE_OVER;
  }
}
