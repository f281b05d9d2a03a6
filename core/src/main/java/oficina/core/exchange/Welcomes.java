package oficina.core.exchange;

import java.time.Duration;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.MachineCommand;
import oficina.core.events.MachineEvent;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/**
 * Voices that welcome callers of a line before it rings. What speaks and listens for keys reports
 * what was dialled, or that nothing was; the timer here has it ring without that.
 */
record Welcomes(Draft draft) {
  private static final Duration LONGEST = Duration.ofMinutes(2);

  void begin(Call call, Party.Welcome welcome) {
    draft.emit(
        new MachineEvent.Welcomed(
            call.id(), draft.now, call.nextLeg(), welcome, draft.now.plus(LONGEST)));
  }

  private static boolean welcomes(@Nullable Call call, int leg) {
    Connection there = call == null ? null : call.leg(leg);
    return there != null && there.party().welcomesTo() != null;
  }

  @Nullable Refusal over(MachineCommand.WelcomeOver c) {
    Call call = draft.call(c.call());
    if (!welcomes(call, c.leg())) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    draft.gone(call, call.leg(c.leg()), Cause.NO_ANSWER);
    return null;
  }

  /** Whom nobody answers for there is brought back to the line. */
  @Nullable Refusal connect(MachineCommand.WelcomeConnects c) {
    Call call = draft.call(c.call());
    if (!welcomes(call, c.leg())) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Refusal refusal = Placing.notCallable(c.to());
    Party target = refusal == null ? Called.party(draft.office, c.to()) : null;
    if (target == null || (target.employee() == null && target.group() == null)) {
      return Refusal.of(Reason.TARGET_NOT_IN_USE);
    }
    draft.clear(call.id(), call.leg(c.leg()), Cause.TRANSFERRED);
    Call now = draft.call(call.id());
    draft.follow(now.id(), draft.walk(now).to(target), now.ways(), now.callerId());
    return null;
  }
}
