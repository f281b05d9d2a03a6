package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.draft.Clearing;
import oficina.core.draft.Draft;
import oficina.core.events.TalkEvent;
import oficina.core.machines.Mailboxes;
import oficina.core.services.CallBacks;
import oficina.core.services.Devices;
import oficina.core.services.Parking;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/** What happens in a call when time is up. */
final class Timers {
  private final Draft draft;
  private final Clearing clearing;
  private final CallBacks callBacks;
  private final Parking parking;
  private final Devices devices;
  private final Mailboxes mailboxes;

  Timers(Services with) {
    draft = with.then().draft();
    clearing = with.then().clearing();
    callBacks = with.callBacks();
    parking = with.parking();
    devices = with.devices();
    mailboxes = with.mailboxes();
  }

  /** Has happen what is due in this call. */
  void timeIsUp(CallId id) {
    Call call = draft.call(id);
    if (call == null) {
      callBacks.expired(id);
      return;
    }
    if (call.waitsInSlot() && !call.parked().until().isAfter(draft.now)) {
      parking.comesBack(call);
      return;
    }
    if (call.failure() != null && !call.failure().until().isAfter(draft.now)) {
      clearing.end(call, call.failure().cause());
      return;
    }
    for (Connection connection : call.connections()) {
      if (!connection.attended() && !connection.lostAt().isAfter(draft.now)) {
        devices.givenUp(call, connection);
        return;
      }
      if (connection.due() == null || connection.due().isAfter(draft.now)) {
        continue;
      }
      if (connection.party().mailboxOf() != null) {
        mailboxes.timeIsUp(call, connection);
        return;
      }
      if (connection.state() == ConnectionState.HOLD) {
        draft.emit(new TalkEvent.HoldReminded(id, draft.now, connection.leg()));
      } else {
        clearing.gone(draft.call(id), connection, Cause.NO_ANSWER);
      }
    }
  }
}
