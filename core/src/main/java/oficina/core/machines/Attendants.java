package oficina.core.machines;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Refusals;
import oficina.core.routing.Called;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/** Voices of the office that read messages out. They end their part in a call themselves. */
public final class Attendants {
  private final Draft draft;
  private final Onward onward;
  private final Clearing clearing;

  /** For one decision. */
  public Attendants(Consequences then) {
    draft = then.draft();
    onward = then.onward();
    clearing = then.clearing();
  }

  /** The attendant in this call, or null. */
  public static @Nullable Connection in(Call call) {
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

  /** The attendant has said all it was asked for, and leaves. */
  public @Nullable Refusal clear(MachineCommand.AttendantClears c) {
    Connection attendant = attendant(c.call(), c.leg());
    if (attendant == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    clearing.gone(draft.call(c.call()), attendant, Cause.NORMAL);
    return null;
  }

  /** Whoever listens hears it ring, and why when nobody answers. */
  public @Nullable Refusal connect(MachineCommand.AttendantConnects c) {
    Connection attendant = attendant(c.call(), c.leg());
    if (attendant == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Call call = draft.call(c.call());
    Refusal refusal = Refusals.twoParties(call);
    Party target = Called.party(draft.office, c.to());
    if (refusal == null) {
      refusal = Refusals.notCallable(draft, c.owner(), c.to());
    }
    if (refusal == null && call.connections().stream().anyMatch(e -> e.party().isSurely(target))) {
      refusal = Refusal.of(Reason.SAME_PARTY);
    }
    if (refusal == null) {
      clearing.clear(call.id(), attendant, Cause.TRANSFERRED);
      onward.send(draft.call(call.id()), c.owner(), target, null, List.of());
    }
    return refusal;
  }
}
