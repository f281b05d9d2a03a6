package oficina.core.exchange;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.PersonId;
import oficina.core.state.Connection;
import oficina.core.state.Device;
import oficina.core.state.ExchangeEvent;
import org.jspecify.annotations.Nullable;

/** The devices through which people can be reached: they come and go. */
record Devices(Draft draft) {

  @Nullable Refusal comes(Command.DeviceComes c) {
    if (draft.office.directory().person(c.person()).isEmpty()) {
      return Refusal.of(Reason.UNKNOWN_PERSON);
    }
    Device there = new Device(c.device(), c.person(), c.kind(), c.attended());
    if (!draft.state.devices(c.person()).contains(there)) {
      draft.emit(
          new ExchangeEvent.DeviceCame(c.person(), c.device(), draft.now, c.kind(), c.attended()));
      lookAfterCalls(c.person());
    }
    return null;
  }

  @Nullable Refusal goes(Command.DeviceGoes c) {
    if (draft.state.devices(c.person()).stream().anyMatch(d -> d.id().equals(c.device()))) {
      goes(c.person(), c.device());
    }
    return null;
  }

  void allGo(PersonId person) {
    draft.state.devices(person).forEach(device -> goes(person, device.id()));
  }

  private void goes(PersonId person, DeviceId device) {
    draft.emit(new ExchangeEvent.DeviceWent(person, device, draft.now));
    lookAfterCalls(person);
  }

  /**
   * A call in hand is attended as long as the device is there on which it is, or any at which
   * somebody is known to be. What nobody attends is given up after a time.
   */
  void lookAfterCalls(PersonId person) {
    for (CallId id : draft.state.inHand(person)) {
      Connection mine = draft.call(id).of(person);
      if (mine != null && mine.answered() && mine.attended() != isAttended(mine, person)) {
        Instant lostAt =
            mine.attended() ? draft.now.plus(draft.settings().times().unattended()) : null;
        draft.emit(new ExchangeEvent.Unattended(id, draft.now, mine.leg(), lostAt));
      }
    }
  }

  private boolean isAttended(Connection mine, PersonId person) {
    return draft.state.devices(person).stream()
        .anyMatch(device -> device.attended() || device.id().equals(mine.device()));
  }
}
