package oficina.core.exchange;

import java.time.Duration;
import oficina.core.events.ReachEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/**
 * Outside numbers that stand for a device of somebody's. Whoever answers there takes the call by a
 * key: the mailbox of a mobile telephone answers too, and presses none.
 */
record TakingByKey(Draft draft) {
  /** How long somebody is asked for the key. */
  static final Duration PATIENCE = Duration.ofSeconds(15);

  private static final String TAKE_KEY = "1";

  /** Whether the key is among these. */
  static boolean takes(String digits) {
    return digits.contains(TAKE_KEY);
  }

  /** Asks for a key where one is needed, and says whether it is. */
  boolean asks(Call call, Connection outsider) {
    if (outsider.state() == ConnectionState.ASKED) {
      return true;
    }
    boolean asks = call.standsForDevice(outsider);
    if (asks) {
      draft.emit(
          new ReachEvent.Asked(call.id(), draft.now, outsider.leg(), draft.now.plus(PATIENCE)));
    }
    return asks;
  }

  void keys(Call call, Connection outsider, String digits) {
    if (takes(digits)) {
      draft.establish(call, outsider, /* device= */ null);
    }
  }
}
