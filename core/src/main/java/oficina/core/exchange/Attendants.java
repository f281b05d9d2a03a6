package oficina.core.exchange;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** Voices of the office that read messages out. They end their part in a call themselves. */
record Attendants(Draft draft) {

  /** The attendant in this call, or null. */
  static @Nullable Connection in(Call call) {
    return call.connections().stream().filter(Attendants::is).findFirst().orElse(null);
  }

  private @Nullable Connection attendant(CallId id, int leg) {
    Call call = draft.call(id);
    Connection there = call == null ? null : call.leg(leg);
    return there != null && is(there) ? there : null;
  }

  private static boolean is(Connection connection) {
    return connection.party().takesKeys() && !connection.party().standsIn();
  }

  @Nullable Refusal clear(MachineCommand.AttendantClears c) {
    Connection attendant = attendant(c.call(), c.leg());
    if (attendant == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    draft.gone(draft.call(c.call()), attendant, Cause.NORMAL);
    return null;
  }

  /** Whoever listens hears it ring, and why when nobody answers. */
  @Nullable Refusal connect(MachineCommand.AttendantConnects c) {
    Connection attendant = attendant(c.call(), c.leg());
    if (attendant == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Call call = draft.call(c.call());
    Refusal refusal = Sending.twoParties(call);
    Party target = Called.party(draft.office, c.to());
    if (refusal == null) {
      refusal = Placing.notCallable(c.to());
    }
    if (refusal == null && call.connections().stream().anyMatch(e -> e.party().isSurely(target))) {
      refusal = Refusal.of(Reason.SAME_PARTY);
    }
    if (refusal == null) {
      draft.clear(call.id(), attendant, Cause.TRANSFERRED);
      new Onward(draft).send(draft.call(call.id()), c.owner(), target, null, List.of());
    }
    return refusal;
  }
}
