package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.events.TalkEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/** What happens in a call when time is up. */
final class Timers {
  private final Draft draft;
  private final CallBacks callBacks;
  private final Parking parking;
  private final Devices devices;
  private final Mailboxes mailboxes;

  Timers(Draft draft) {
    this.draft = draft;
    callBacks = new CallBacks(draft);
    parking = new Parking(draft);
    devices = new Devices(draft);
    mailboxes = new Mailboxes(draft);
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
      draft.end(call, call.failure().cause());
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
        draft.gone(draft.call(id), connection, Cause.NO_ANSWER);
      }
    }
  }
}
