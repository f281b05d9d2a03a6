package oficina.core.exchange;

import java.util.ArrayList;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.SendCommand;
import oficina.core.events.ParkedCall;
import oficina.core.events.TalkEvent;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.office.ParkSlot;
import oficina.core.people.PersonId;
import oficina.core.routing.Way;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** Calls that wait in a slot until somebody takes them. */
record Parking(Draft draft) {
  /** A parked caller whom nobody takes back is not kept for ever. */
  private static final int COME_BACKS = 3;

  /**
   * Where a call goes that has waited long enough: back to its parker, then to the front desk, then
   * it waits once more, a few times over; at last whoever it is for can be left a message.
   */
  private static List<Way> waysBack(PersonId parker, @Nullable PersonId forWhom) {
    List<Way> ways = new ArrayList<>();
    for (int time = 1; time <= COME_BACKS; time++) {
      ways.add(new Way(new Way.To(new Party.Employee(parker)), Way.Reason.BACK));
      ways.add(new Way(new Way.FrontDesk(), Way.Reason.FRONT_DESK));
      if (time < COME_BACKS) {
        ways.add(new Way(new Way.WaitOn(), Way.Reason.WAITS_ON));
      }
    }
    Party wanted = new Party.Employee(forWhom == null ? parker : forWhom);
    ways.add(new Way(new Way.ToMailbox(wanted), Way.Reason.MESSAGE));
    return ways;
  }

  /** The call has waited in its slot long enough. */
  void comesBack(Call call) {
    new Onward(draft).goOn(call, Cause.PARKED_TOO_LONG, List.of());
  }

  /** Whether this call can be parked at all, wherever. */
  @Nullable Refusal mayPark(Call call) {
    return Sending.twoParties(call);
  }

  @Nullable Refusal park(Call call, Connection mine, SendCommand.Park c) {
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
      return Refusal.of(Reason.NO_SUCH_SLOT, "slot", slot);
    }
    if (draft.state.inSlot(slot) != null) {
      return Refusal.of(Reason.SLOT_TAKEN, "slot", slot);
    }
    draft.clear(call.id(), mine, Cause.TRANSFERRED);
    ParkedCall parking =
        new ParkedCall(
            slot,
            c.person(),
            c.forWhom(),
            c.note(),
            draft.now,
            draft.now.plus(draft.settings().parking().comeBack()));
    List<Way> ways = waysBack(c.person(), c.forWhom());
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

  @Nullable Refusal take(SendCommand.TakeParked c) {
    Call there = draft.state.inSlot(c.slot());
    if (there == null || (c.call() != null && !there.id().equals(c.call()))) {
      return gone(c);
    }
    Connection mine = there.of(c.person());
    boolean unasked = mine != null || Permissions.takesUnasked(there.parked(), c.person());
    if (!unasked && !c.evenForOthers()) {
      return Refusal.of(Reason.MEANT_FOR_OTHER, "person", there.parked().forWhom().toString());
    }
    return take(there, c.person(), c.device());
  }

  /** Whoever comes too late is told who was quicker, of a call that waited there. */
  private Refusal gone(SendCommand.TakeParked c) {
    if (!draft.settings().isSlot(c.slot())) {
      return Refusal.of(Reason.NO_SUCH_SLOT, "slot", c.slot());
    }
    Call expected = c.call() == null ? null : draft.call(c.call());
    boolean waited = expected != null && c.slot().equals(expected.standing().takenFrom());
    Connection taker = waited ? expected.lastToAnswer() : null;
    return taker == null
        ? Refusal.of(Reason.SLOT_EMPTY, "slot", c.slot())
        : Refusal.answeredBy(taker.party().employee());
  }

  /** The person speaks with whoever waits in the slot; where it rings by now, it stops. */
  private @Nullable Refusal take(Call call, PersonId person, DeviceId device) {
    Connection mine = call.of(person);
    if (mine != null && !mine.rings()) {
      return Refusal.of(Reason.SAME_PARTY);
    }
    draft.join(call, person, new Party.Employee(person), device);
    return null;
  }

  /** Dialling a slot takes the call that waits there. */
  @Nullable Refusal dialled(String slot, PersonId person, DeviceId device) {
    return take(new SendCommand.TakeParked(null, person, device, slot, /* evenForOthers= */ false));
  }
}
