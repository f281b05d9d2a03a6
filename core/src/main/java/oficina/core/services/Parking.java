package oficina.core.services;

import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Refusals;
import oficina.core.events.ParkedCall;
import oficina.core.events.TalkEvent;
import oficina.core.office.ParkSlot;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import oficina.core.routing.Ways;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** Calls that wait in a slot until somebody takes them. */
public final class Parking {
  private final Draft draft;
  private final Onward onward;
  private final Clearing clearing;
  private final Answering answering;

  /** For one decision. */
  public Parking(Consequences then) {
    draft = then.draft();
    onward = then.onward();
    clearing = then.clearing();
    answering = then.answering();
  }

  /** The call has waited in its slot long enough. */
  public void comesBack(Call call) {
    onward.goOn(call, Cause.PARKED_TOO_LONG, List.of());
  }

  /** Whether this call can be parked at all, wherever. */
  public @Nullable Refusal mayPark(Call call) {
    return Refusals.twoParties(call);
  }

  /** Puts the other party into a slot, the one that was named or the next that is free. */
  public @Nullable Refusal park(Call call, Connection mine, SendCommand.Park c) {
    Refusal refusal = mayPark(call);
    if (refusal != null) {
      return refusal;
    }
    if (c.forWhom() != null && draft.office.directory().person(c.forWhom()).isEmpty()) {
      return Refusal.of(Reason.NO_SUCH_PERSON);
    }
    String slot = c.slot() == null ? nextFree() : c.slot();
    if (slot == null) {
      return Refusal.of(Reason.SLOTS_FULL);
    }
    if (!draft.settings().isSlot(slot)) {
      return Refusal.ofSlot(Reason.NO_SUCH_SLOT, slot);
    }
    if (draft.state.inSlot(slot) != null) {
      return Refusal.ofSlot(Reason.SLOT_TAKEN, slot);
    }
    clearing.clear(call.id(), mine, Cause.TRANSFERRED);
    ParkedCall parking =
        new ParkedCall(
            slot,
            c.person(),
            c.forWhom(),
            c.note(),
            draft.now,
            draft.now.plus(draft.settings().parking().comeBack()));
    List<Way> ways = Ways.whenParked(c.person(), c.forWhom());
    draft.emit(new TalkEvent.Parked(call.id(), draft.now, parking, ways));
    return null;
  }

  private @Nullable String nextFree() {
    return draft.settings().parking().slots().stream()
        .map(ParkSlot::number)
        .filter(number -> draft.state.inSlot(number) == null)
        .findFirst()
        .orElse(null);
  }

  /** Speaks with whoever waits in a slot; of one who waits for somebody else only on purpose. */
  public @Nullable Refusal take(SendCommand.TakeParked c) {
    Call there = draft.state.inSlot(c.slot());
    if (there == null || (c.call() != null && !there.id().equals(c.call()))) {
      return gone(c);
    }
    Connection mine = there.of(c.person());
    boolean unasked = mine != null || Permissions.takesUnasked(there.parked(), c.person());
    if (!unasked && !c.evenForOthers()) {
      return Refusal.of(Reason.MEANT_FOR_OTHER, there.parked().forWhom());
    }
    return take(there, c.person(), c.device());
  }

  /** Whoever comes too late is told who was quicker, of a call that waited there. */
  private Refusal gone(SendCommand.TakeParked c) {
    if (!draft.settings().isSlot(c.slot())) {
      return Refusal.ofSlot(Reason.NO_SUCH_SLOT, c.slot());
    }
    Call expected = c.call() == null ? null : draft.call(c.call());
    boolean waited = expected != null && c.slot().equals(expected.standing().takenFrom());
    Connection taker = waited ? expected.lastToAnswer() : null;
    return taker == null
        ? Refusal.ofSlot(Reason.SLOT_EMPTY, c.slot())
        : Refusal.answeredBy(taker.party().employee());
  }

  /** The person speaks with whoever waits in the slot; where it rings by now, it stops. */
  private @Nullable Refusal take(Call call, PersonId person, DeviceId device) {
    Connection mine = call.of(person);
    if (mine != null && !mine.rings()) {
      return Refusal.of(Reason.SAME_PARTY);
    }
    answering.join(call, person, new Party.Employee(person), device);
    return null;
  }

  /** Dialling a slot takes the call that waits there. */
  public @Nullable Refusal dialled(String slot, PersonId person, DeviceId device) {
    return take(new SendCommand.TakeParked(null, person, device, slot, /* evenForOthers= */ false));
  }
}
