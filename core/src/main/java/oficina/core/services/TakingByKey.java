package oficina.core.services;

import java.time.Duration;
import oficina.core.draft.Answering;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.events.ReachEvent;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;

/**
 * Outside numbers that stand for a device of somebody's. Whoever answers there takes the call by a
 * key: the mailbox of a mobile telephone answers too, and presses none.
 */
public final class TakingByKey {
  /** How long somebody is asked for the key. */
  static final Duration PATIENCE = Duration.ofSeconds(15);

  private static final String TAKE_KEY = "1";

  private final Draft draft;
  private final Answering answering;

  /** For one decision. */
  public TakingByKey(Consequences then) {
    draft = then.draft();
    answering = then.answering();
  }

  /** Whether the key is among these. */
  public static boolean takes(String digits) {
    return digits.contains(TAKE_KEY);
  }

  /** Asks for a key where one is needed, and says whether it is. */
  public boolean asks(Call call, Connection outsider) {
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

  /** Takes the call when the key is among these. */
  public void keys(Call call, Connection outsider, String digits) {
    if (takes(digits)) {
      answering.establish(call, outsider, /* device= */ null);
    }
  }
}
