package oficina.core.draft;

import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.events.ReachEvent;
import oficina.core.people.PersonId;
import oficina.core.routing.Route;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/** Has a call ring, go out or fail, as its route says. The answers say nothing. */
record Following(
    Onward onward,
    Draft draft,
    Reachability reach,
    Machines machines,
    Queueing queueing,
    CallId id,
    CallerId shown)
    implements Route.Cases<@Nullable Void> {

  private Call call() {
    return draft.call(id);
  }

  @Override
  public @Nullable Void of(Route.Ring route) {
    Instant until = draft.now.plus(route.time());
    for (PersonId person : route.people()) {
      Party at = new Party.Employee(person);
      draft.emit(
          new ReachEvent.Delivered(id, draft.now, call().nextLeg(), at, route.line(), until));
    }
    for (Party number : route.outside()) {
      if (!reach.linesBusy()) {
        CallerId forwarded = onward.forwarded(id);
        draft.emit(
            new ReachEvent.NetworkReached(
                id, draft.now, call().nextLeg(), number, until, forwarded));
      }
    }
    if (call().connections().stream().noneMatch(each -> !each.answered())) {
      onward.goOn(call(), Cause.LINES_BUSY, List.of());
    }
    return null;
  }

  @Override
  public @Nullable Void of(Route.GoOut route) {
    if (!route.to().alwaysGoesOut() && reach.linesBusy()) {
      onward.fail(id, Cause.LINES_BUSY, List.of());
    } else {
      Instant until = draft.now.plus(draft.settings().times().networkPatience());
      draft.emit(
          new ReachEvent.NetworkReached(id, draft.now, call().nextLeg(), route.to(), until, shown));
    }
    return null;
  }

  @Override
  public @Nullable Void of(Route.TakeMessage route) {
    machines.takeMessage(call(), route.mailbox(), route.why(), route.missedBy());
    return null;
  }

  @Override
  public @Nullable Void of(Route.Attend route) {
    machines.attend(call(), route.attendant());
    return null;
  }

  @Override
  public @Nullable Void of(Route.Greet route) {
    machines.welcome(call(), route.welcome());
    return null;
  }

  @Override
  public @Nullable Void of(Route.Wait route) {
    queueing.queue(call(), route.queue());
    return null;
  }

  @Override
  public @Nullable Void of(Route.Refuse route) {
    onward.goOn(call(), route.cause(), route.missedBy());
    return null;
  }
}
