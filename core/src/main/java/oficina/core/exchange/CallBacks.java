package oficina.core.exchange;

import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.Party;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.routing.Route;

/**
 * Call back (ECMA-269): connects two colleagues as soon as both are free. It rings at whoever asked
 * for it, and when they answer, at the other.
 */
record CallBacks(Draft draft) {
  /** After these the colleague was not at their telephone: free alone means nothing yet. */
  private static final Set<Cause> NOT_THERE = Set.of(Cause.NO_ANSWER, Cause.DECLINED);

  Refusal request(Call call, Command.RequestCallBack c) {
    Call.Failure failure = call.failure();
    PersonId on = call.called().employee();
    boolean placed = c.person().equals(call.caller().employee());
    if (failure == null || !placed) {
      return Refusal.of(Reason.NOT_FAILED);
    }
    if (on == null) {
      return Refusal.of(Reason.CALL_BACK_INSIDE_ONLY);
    }
    if (draft.state.callBack(c.request()) != null || draft.call(c.request()) != null) {
      return Refusal.of(Reason.CALL_EXISTS);
    }
    if (draft.state.callBacks().stream()
        .anyMatch(each -> each.by().equals(c.person()) && each.on().equals(on))) {
      return Refusal.of(Reason.CALL_BACK_EXISTS);
    }
    draft.emit(
        new ExchangeEvent.CallBackRequested(
            c.request(),
            draft.now,
            c.person(),
            on,
            draft.now.plus(draft.settings.callBackLasts()),
            NOT_THERE.contains(failure.cause())));
    draft.end(call, failure.cause());
    return null;
  }

  Refusal cancel(Command.CancelCallBack c) {
    CallBack callBack = draft.state.callBack(c.request());
    if (callBack == null || !callBack.by().equals(c.person())) {
      return Refusal.of(Reason.NO_SUCH_CALL_BACK);
    }
    over(c.request(), Cause.NORMAL);
    return null;
  }

  private void over(CallId request, Cause cause) {
    draft.emit(new ExchangeEvent.CallBackCleared(request, draft.now, cause));
  }

  /** Nobody became free in time. A call that is under way already goes on. */
  void expired(CallId request) {
    over(request, Cause.EXPIRED);
  }

  /** Whoever asked for it is there: now the colleague is rung, unless they are busy once more. */
  void answered(Call call, Connection mine, DeviceId device) {
    draft.emit(new ExchangeEvent.CallBackAnswered(call.id(), draft.now, mine.leg(), device));
    CallId request = call.origin().callBack();
    boolean wanted = draft.state.callBack(request) != null;
    Route route = draft.route(call.called(), draft.call(call.id()));
    if (wanted && route instanceof Route.Refuse refuse) {
      draft.end(draft.call(call.id()), refuse.cause()); // the wish is kept
      return;
    }
    if (wanted) {
      over(request, Cause.NORMAL);
    }
    draft.follow(call.id(), route);
  }

  /** After everything that happens: perhaps somebody waited for has become free. */
  void advance() {
    for (CallBack callBack : draft.state.callBacks()) {
      if (!callBack.armed() && isSpeaking(callBack.on())) {
        draft.emit(new ExchangeEvent.CallBackArmed(callBack.request(), draft.now));
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
    if (by == null || othersTurn || !draft.idle(callBack.by()) || !draft.idle(callBack.on())) {
      return;
    }
    draft.emit(
        new ExchangeEvent.CallBackRings(
            callBack.nextCall(),
            draft.now,
            callBack.request(),
            1,
            new Party.Employee(callBack.by()),
            new Party.Employee(callBack.on()),
            draft.now.plus(by.ringTime())));
  }
}
