package oficina.core.machines;

import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Permissions;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Reachability;
import oficina.core.draft.Refusals;
import oficina.core.people.PersonId;
import oficina.core.routing.Route;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** What somebody who leads a line does with those who wait there. */
public final class Leading {
  private final Draft draft;
  private final Reachability reach;
  private final Onward onward;
  private final Clearing clearing;
  private final Answering answering;

  /** For one decision. */
  public Leading(Consequences then) {
    draft = then.draft();
    reach = then.reach();
    onward = then.onward();
    clearing = then.clearing();
    answering = then.answering();
  }

  /** Whoever does not lead the line does not learn whether the call is there. */
  private @Nullable Refusal mayDecide(@Nullable Call call, PersonId person) {
    if (call == null
        || call.place() == null
        || !Permissions.mayLead(draft.office, call.place().line(), person)) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    return call.waits() ? null : Refusal.of(Reason.WAITS_NO_LONGER);
  }

  /** Speaks with a caller out of turn. */
  public @Nullable Refusal take(SendCommand.TakeWaiting c) {
    Call call = draft.call(c.call());
    Refusal refusal = mayDecide(call, c.person());
    if (refusal == null && call.of(c.person()) != null && !call.of(c.person()).rings()) {
      refusal = Refusal.of(Reason.SAME_PARTY);
    }
    if (refusal == null && call.of(c.person()) == null) {
      refusal = Refusals.handsFull(draft, c.person());
    }
    if (refusal == null) {
      answering.join(call, c.person(), new Party.Members(call.place().line()), c.device());
    }
    return refusal;
  }

  /** Has a caller wait elsewhere; they keep the time they have waited. */
  public @Nullable Refusal move(SendCommand.MoveWaiting c) {
    Call call = draft.call(c.call());
    Refusal refusal = mayDecide(call, c.person());
    if (refusal != null) {
      return refusal;
    }
    if (call.keepsPlace()) {
      return Refusal.of(Reason.NOBODY_THERE); // they have hung up, and wait for this line's call
    }
    Party to = new Party.Members(c.to());
    if (c.to().equals(call.place().line()) || draft.office.directions().queue(c.to()) == null) {
      return Refusal.of(Reason.NO_SUCH_LINE);
    }
    if (!(reach.walk(call).to(to).route() instanceof Route.Wait)) {
      return Refusal.of(Reason.TARGET_BUSY); // it would keep nobody now
    }
    clearing.leaveLine(call, Cause.TRANSFERRED);
    Call now = draft.call(call.id());
    onward.follow(now.id(), reach.walk(now).to(to), now.ways(), now.callerId());
    return null;
  }
}
