package oficina.core.exchange;

import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.PersonId;

/** Calls that wait in a slot until somebody takes them. */
record Parking(Draft draft) {

  Refusal park(Call call, Connection mine, Command.Park c) {
    Refusal refusal = Sending.twoParties(call);
    if (refusal == null && !mine.answered()) {
      refusal = Refusal.of(Reason.NOT_ANSWERED);
    }
    if (refusal == null && c.forWhom() != null) {
      refusal =
          draft.office.directory().person(c.forWhom()).isEmpty()
              ? Refusal.of(Reason.UNKNOWN_PERSON)
              : null;
    }
    if (refusal != null) {
      return refusal;
    }
    String slot = c.slot() == null ? nextFree() : c.slot();
    if (slot == null) {
      return Refusal.of(Reason.SLOTS_FULL);
    }
    if (!draft.settings.isSlot(slot)) {
      return Refusal.of(Reason.NO_SUCH_SLOT, "slot", slot);
    }
    if (draft.state.inSlot(slot) != null) {
      return Refusal.of(Reason.SLOT_TAKEN, "slot", slot);
    }
    draft.clear(call.id(), mine, Cause.TRANSFERRED);
    draft.emit(
        new ExchangeEvent.Parked(
            call.id(),
            draft.now,
            new Call.Parking(
                slot,
                c.person(),
                c.forWhom(),
                c.note(),
                draft.now,
                draft.now.plus(draft.settings.parkComeBack()),
                0)));
    return null;
  }

  private String nextFree() {
    return draft.settings.parkSlots().stream()
        .map(ParkSlot::number)
        .filter(number -> draft.state.inSlot(number) == null)
        .findFirst()
        .orElse(null);
  }

  Refusal take(Command.TakeParked c) {
    Call there = draft.state.inSlot(c.slot());
    if (there == null || (c.call() != null && !there.id().equals(c.call()))) {
      return gone(c);
    }
    return take(there, c.person(), c.device());
  }

  /** Whoever comes too late is told who was quicker. */
  private Refusal gone(Command.TakeParked c) {
    if (!draft.settings.isSlot(c.slot())) {
      return Refusal.of(Reason.NO_SUCH_SLOT, "slot", c.slot());
    }
    Call expected = c.call() == null ? null : draft.call(c.call());
    Connection taker = expected == null ? null : expected.lastToAnswer();
    return taker == null
        ? Refusal.of(Reason.SLOT_EMPTY, "slot", c.slot())
        : Refusal.answeredBy(taker.party().employee());
  }

  /** The person speaks with whoever waits in the slot; where it rings by now, it stops. */
  Refusal take(Call call, PersonId person, DeviceId device) {
    Connection mine = call.of(person);
    if (mine != null && !mine.rings()) {
      return Refusal.of(Reason.SAME_PARTY);
    }
    draft.join(call, person, new Party.Employee(person), device);
    return null;
  }

  /** Dialling a slot takes the call that waits there. */
  Refusal dialled(Party.Slot slot, PersonId person, DeviceId device) {
    return take(new Command.TakeParked(null, person, device, slot.number()));
  }
}
