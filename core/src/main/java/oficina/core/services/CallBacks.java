package oficina.core.services;

import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Reachability;
import oficina.core.events.CallBackEvent;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.routing.Route;
import oficina.core.state.Call;
import oficina.core.state.CallBack;
import oficina.core.state.Connection;
import org.jspecify.annotations.Nullable;

/**
 * Call back (ECMA-269): connects two colleagues as soon as both are free. It rings at whoever asked
 * for it, and when they answer, at the other.
 */
public final class CallBacks {
  /** After these the colleague was not at their telephone: free alone means nothing yet. */
  private static final Set<Cause> NOT_THERE = Set.of(Cause.NO_ANSWER, Cause.DECLINED);

  private final Draft draft;
  private final Reachability reach;
  private final Onward onward;
  private final Clearing clearing;

  /** For one decision. */
  public CallBacks(Consequences then) {
    draft = then.draft();
    reach = then.reach();
    onward = then.onward();
    clearing = then.clearing();
  }

  /** Refused unless a colleague was called in vain who is not waited for already. */
  public @Nullable Refusal mayRequest(Call call, Connection mine) {
    if (!call.calledInVain() || !mine.party().equals(call.caller())) {
      return Refusal.of(Reason.NOT_FAILED);
    }
    PersonId on = call.called().employee();
    if (on == null) {
      return Refusal.of(Reason.CALL_BACK_INSIDE_ONLY);
    }
    boolean waitedFor =
        draft.state.callBacks().stream()
            .anyMatch(each -> mine.party().employee().equals(each.by()) && each.on().equals(on));
    return waitedFor ? Refusal.of(Reason.CALL_BACK_EXISTS) : null;
  }

  /** The call ends, and the colleague is waited for. */
  public @Nullable Refusal request(Call call, Connection mine, CallId request) {
    Refusal refusal = mayRequest(call, mine);
    if (refusal != null) {
      return refusal;
    }
    if (draft.state.callBack(request) != null || draft.call(request) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    Cause cause = call.failure().cause();
    draft.emit(
        new CallBackEvent.CallBackRequested(
            request,
            draft.now,
            mine.party().employee(),
            call.called().employee(),
            draft.now.plus(draft.settings().times().callBack()),
            NOT_THERE.contains(cause)));
    clearing.end(call, cause);
    return null;
  }

  /** Whoever has left waits for nobody, and nobody for them. */
  public void forget(PersonId person) {
    for (CallBack wish : draft.state.callBacks()) {
      if (wish.by().equals(person) || wish.on().equals(person)) {
        over(wish.request(), Cause.NORMAL);
      }
    }
  }

  /** Whoever has asked for it wishes it no longer. */
  public @Nullable Refusal cancel(SendCommand.CancelCallBack c) {
    CallBack callBack = draft.state.callBack(c.request());
    if (callBack == null || !callBack.by().equals(c.person())) {
      return Refusal.of(Reason.NO_SUCH_CALL_BACK);
    }
    over(c.request(), Cause.NORMAL);
    return null;
  }

  private void over(CallId request, Cause cause) {
    draft.emit(new CallBackEvent.CallBackCleared(request, draft.now, cause));
  }

  /** Nobody became free in time. A call that is under way already goes on. */
  public void expired(CallId request) {
    over(request, Cause.EXPIRED);
  }

  /** Whoever asked for it is there: now the colleague is rung, unless they are busy once more. */
  public void answered(Call call, Connection mine, DeviceId device) {
    draft.emit(new CallBackEvent.CallBackAnswered(call.id(), draft.now, mine.leg(), device));
    CallId request = call.callBack();
    boolean wanted = draft.state.callBack(request) != null;
    Route route = reach.router(draft.call(call.id())).to(call.called());
    if (wanted && route.refuses()) {
      clearing.end(draft.call(call.id()), Cause.BUSY); // the wish is kept
      return;
    }
    if (wanted) {
      over(request, Cause.NORMAL);
    }
    onward.follow(call.id(), route, CallerId.WITHHELD);
  }

  /** After everything that happens: perhaps somebody waited for has become free. */
  public void advance() {
    for (CallBack callBack : draft.state.callBacks()) {
      if (!callBack.armed() && isSpeaking(callBack.on())) {
        draft.emit(new CallBackEvent.CallBackArmed(callBack.request(), draft.now));
      } else if (callBack.armed() && !callBack.ringing()) {
        ringIfFree(callBack);
      }
    }
  }

  private boolean isSpeaking(PersonId person) {
    return draft.state.inHand(person).stream().anyMatch(id -> draft.call(id).of(person).answered());
  }

  private void ringIfFree(CallBack callBack) {
    Person by = draft.office.directory().person(callBack.by()).orElse(null);
    boolean othersTurn =
        draft.state.callBacks().stream()
            .anyMatch(each -> each.ringing() && each.on().equals(callBack.on()));
    if (by == null || othersTurn || !reach.idle(callBack.by()) || !reach.idle(callBack.on())) {
      return;
    }
    draft.emit(
        new CallBackEvent.CallBackRings(
            callBack.nextCall(),
            draft.now,
            callBack.request(),
            1,
            new Party.Employee(callBack.by()),
            new Party.Employee(callBack.on()),
            draft.now.plus(by.ringTime())));
  }
}
