package oficina.core.machines;

import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Reachability;
import oficina.core.routing.Called;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/**
 * Voices that welcome callers of a line before it rings. What speaks and listens for keys reports
 * what was dialled, or that nothing was; the timer here has it ring without that.
 */
public final class Welcomes {
  private final Draft draft;
  private final Reachability reach;
  private final Onward onward;
  private final Clearing clearing;

  /** For one decision. */
  public Welcomes(Consequences then) {
    draft = then.draft();
    reach = then.reach();
    onward = then.onward();
    clearing = then.clearing();
  }

  private static boolean welcomes(@Nullable Call call, int leg) {
    Connection there = call == null ? null : call.leg(leg);
    return there != null && there.party().welcomesTo() != null;
  }

  /** The welcome is over, or the caller waits: the line is rung. */
  public @Nullable Refusal over(MachineCommand.WelcomeOver c) {
    Call call = draft.call(c.call());
    if (!welcomes(call, c.leg())) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    clearing.gone(call, call.leg(c.leg()), Cause.NO_ANSWER);
    return null;
  }

  /** Whom nobody answers for there is brought back to the line. */
  public @Nullable Refusal connect(MachineCommand.WelcomeConnects c) {
    Call call = draft.call(c.call());
    if (!welcomes(call, c.leg())) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Party target = c.to().refused() == null ? Called.party(draft.office, c.to()) : null;
    if (target == null || (target.employee() == null && target.group() == null)) {
      return Refusal.of(Reason.TARGET_NOT_IN_USE);
    }
    clearing.clear(call.id(), call.leg(c.leg()), Cause.TRANSFERRED);
    Call now = draft.call(call.id());
    onward.follow(now.id(), reach.walk(now).to(target), now.ways(), now.callerId());
    return null;
  }
}
