package oficina.core.handset;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.exchange.Offers;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** The calls that the holder of a telephone has in hand, seen from that telephone. */
record Hand(Surroundings around, DeviceId device) {

  PersonId me() {
    return around.holder();
  }

  /** What rings first, then the one in progress, then those held, the oldest of each first. */
  List<Call> calls() {
    var state = around.exchange().state();
    return state.inHand(me()).stream()
        .map(state::call)
        .filter(Objects::nonNull)
        .sorted(Comparator.comparing(this::place))
        .toList();
  }

  private int place(Call call) {
    Connection mine = call.of(me());
    if (mine.rings()) {
      return 0;
    }
    return mine.state() == ConnectionState.CONNECTED ? 1 : 2;
  }

  @Nullable Call call(@Nullable CallId id) {
    return calls().stream().filter(each -> each.id().equals(id)).findFirst().orElse(null);
  }

  /** The one that has been ringing longest. */
  @Nullable Call ringing() {
    return calls().stream().filter(each -> each.of(me()).rings()).findFirst().orElse(null);
  }

  /** The same, but for those whose ringing has been silenced. */
  @Nullable Call loud() {
    return calls().stream()
        .filter(each -> each.of(me()).rings() && !each.of(me()).silenced())
        .findFirst()
        .orElse(null);
  }

  /** The one in which the holder is not held, wherever they speak. */
  @Nullable Call active() {
    return calls().stream()
        .filter(each -> each.of(me()).state() == ConnectionState.CONNECTED)
        .findFirst()
        .orElse(null);
  }

  /** The same, if it is on this telephone. */
  @Nullable Call activeHere() {
    Call active = active();
    return active != null && isHere(active) ? active : null;
  }

  boolean isHere(Call call) {
    return device.equals(call.of(me()).device());
  }

  Offers offers(Call call) {
    return around.exchange().offers(call, me());
  }

  boolean offers(Call call, Offers.Service service) {
    return offers(call).services().contains(service);
  }
}
