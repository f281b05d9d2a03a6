package oficina.core.exchange;

import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.draft.Clearing;
import oficina.core.draft.Draft;
import oficina.core.events.TalkEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/** What happens in a call when time is up. */
final class Timers {
  private final Services with;
  private final Draft draft;
  private final Clearing clearing;

  Timers(Services with) {
    this.with = with;
    draft = with.then().draft();
    clearing = with.then().clearing();
  }

  /** Has happen what is due in this call. */
  void timeIsUp(CallId id) {
    Call call = draft.call(id);
    if (call == null) {
      with.callBacks().expired(id);
      return;
    }
    if (call.waitsInSlot() && !call.parked().until().isAfter(draft.now)) {
      with.parking().comesBack(call);
      return;
    }
    if (call.failure() != null && !call.failure().until().isAfter(draft.now)) {
      clearing.end(call, call.failure().cause());
      return;
    }
    for (Connection connection : call.connections()) {
      if (!connection.attended() && !connection.lost().until().isAfter(draft.now)) {
        with.devices().givenUp(call, connection);
        return;
      }
      if (connection.due() == null || connection.due().isAfter(draft.now)) {
        continue;
      }
      if (connection.party().mailboxOf() != null) {
        with.mailboxes().timeIsUp(call, connection);
        return;
      }
      if (connection.party().waitsAt() != null) {
        with.waiting().timeIsUp(call, connection);
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
