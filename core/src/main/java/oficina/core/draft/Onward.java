package oficina.core.draft;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.events.ParkedCall;
import oficina.core.events.ReachEvent;
import oficina.core.events.SentCall;
import oficina.core.events.TalkEvent;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.PersonId;
import oficina.core.routing.Diversion;
import oficina.core.routing.Lead;
import oficina.core.routing.Route;
import oficina.core.routing.Station;
import oficina.core.routing.Way;
import oficina.core.routing.Ways;
import oficina.core.state.Call;
import org.jspecify.annotations.Nullable;

/**
 * What becomes of a call that nobody takes where it is: it goes the next of its remaining ways that
 * leads anywhere now, and when none does, the caller is told why. The one place for this, whether
 * the call was dialled, sent on or parked.
 */
public final class Onward {
  private final Draft draft;
  private final Reachability reach;
  private final Machines machines;
  private final Queueing queueing;

  Onward(Draft draft, Reachability reach, Machines machines, Queueing queueing) {
    this.draft = draft;
    this.reach = reach;
    this.machines = machines;
    this.queueing = queueing;
  }

  /**
   * Nobody took it.
   *
   * @param cause why the last one did not
   * @param missedBy employees who were wanted and were never rung
   */
  public void goOn(Call call, Cause cause, List<PersonId> missedBy) {
    goOn(call, call.ways(), cause, missedBy);
  }

  /** The same with other ways than it has. */
  void goOn(Call call, List<Way> ways, Cause cause, List<PersonId> missedBy) {
    if (!leads(call, ways, cause, missedBy)) {
      // Of a parked call nobody is told how long it waited: it was not answered.
      Cause told = cause == Cause.PARKED_TOO_LONG ? Cause.NO_ANSWER : cause;
      fail(call.id(), told, missedBy);
    }
  }

  /** Has it go the first of these ways that leads anywhere now, and says whether one does. */
  public boolean leads(Call call, List<Way> ways, Cause cause, List<PersonId> missedBy) {
    for (int next = 0; next < ways.size(); next++) {
      List<Way> after = ways.subList(next + 1, ways.size());
      Going going = new Going(call, ways.get(next), after, cause, missedBy);
      if (ways.get(next).step().accept(going)) {
        return true;
      }
    }
    return false;
  }

  /**
   * Sends a call where somebody wants it, with what follows when nobody takes it there.
   *
   * @param callerId what an outside target is shown; null for what the sender has chosen for all
   */
  public void send(
      Call call, PersonId by, Party target, @Nullable CallerIdChoice callerId, List<Way> after) {
    sentOn(call, new SentCall(by, target, Way.Reason.SENT_ON, null), after);
    Lead lead = reach.walk(draft.call(call.id())).to(target);
    follow(call.id(), lead, after, draft.office.callerId(by, callerId));
  }

  /** It has been sent on, with these ways to go when nobody takes it there. */
  public void sentOn(Call call, SentCall sent, List<Way> after) {
    draft.emit(new ReachEvent.SentOn(call.id(), draft.now, sent, after));
  }

  /**
   * Has the call go where it leads.
   *
   * @param remaining what would have followed when nobody takes it
   * @param shown what an outsider is shown who was called, and to whom nobody's rules led
   */
  public void follow(CallId id, Lead lead, List<Way> remaining, CallerId shown) {
    lead.stations().forEach(draft::found);
    List<Way> ways = Ways.after(lead, remaining);
    boolean rings = lead.route().goesOnFrom();
    if (!lead.diversions().isEmpty() || (rings && !ways.equals(draft.call(id).ways()))) {
      draft.emit(new ReachEvent.Routed(id, draft.now, lead.diversions(), ways));
    }
    if (lead.route() instanceof Route.Refuse refuse) {
      goOn(draft.call(id), ways, refuse.cause(), refuse.missedBy());
    } else {
      follow(id, lead.route(), lead.diversions().isEmpty() ? shown : forwarded(id));
    }
  }

  /**
   * Has the call ring, go out or fail, as its route says.
   *
   * @param shown what an outsider is shown
   */
  public void follow(CallId call, Route route, CallerId shown) {
    route.accept(new Following(this, draft, reach, machines, queueing, call, shown));
  }

  /** What an outside number is shown to which somebody's rules have led a call. */
  CallerId forwarded(CallId id) {
    Call call = draft.call(id);
    List<Diversion> diversions = call.standing().onItsWay().diversions();
    Party from =
        diversions.isEmpty() ? call.called() : diversions.get(diversions.size() - 1).from();
    PhoneNumber caller = call.caller().outsideNumber();
    if (draft.office.directions().showsCaller() && caller != null) {
      return new CallerId(caller);
    }
    return from.employee() == null
        ? new CallerId(draft.office.identity().mainNumber())
        : draft.office.callerId(from.employee(), null);
  }

  /**
   * It cannot be completed, and the caller is told why.
   *
   * @param missedBy employees who were wanted and were never rung
   */
  public void fail(CallId call, Cause cause, List<PersonId> missedBy) {
    draft.emit(
        new ReachEvent.Failed(
            call, draft.now, cause, missedBy, draft.now.plus(draft.settings().times().tone())));
  }

  /** Goes a way if it leads anywhere, and says whether it did. */
  private final class Going implements Way.Step.Cases<Boolean> {
    private final Call call;
    private final Way way;
    private final List<Way> after;
    private final Cause why;
    private final List<PersonId> missedBy;

    Going(Call call, Way way, List<Way> after, Cause why, List<PersonId> missedBy) {
      this.call = call;
      this.way = way;
      this.after = after;
      this.why = why;
      this.missedBy = missedBy;
    }

    @Override
    public Boolean of(Way.To step) {
      return rings(reach.router(call).to(step.party()));
    }

    @Override
    public Boolean of(Way.FrontDesk step) {
      return rings(reach.router(call).toFrontDesk());
    }

    /** Whoever turns a call away is not rung again by it. */
    @Override
    public Boolean of(Way.NextRing step) {
      return why != Cause.DECLINED && leads(reach.walk(call).ring(step));
    }

    @Override
    public Boolean of(Way.ByRules step) {
      return leads(reach.walk(call).byRules(step.owner(), why));
    }

    private boolean leads(@Nullable Lead lead) {
      if (lead != null) {
        follow(call.id(), lead, after, call.callerId());
      }
      return lead != null;
    }

    private boolean rings(Route route) {
      if (route.refuses()) {
        return false;
      }
      sentOn(call, new SentCall(sender(), sentTo(), way.reason(), why), after);
      follow(call.id(), route, draft.office.callerId(sender(), null));
      return true;
    }

    private PersonId sender() {
      return call.sent() == null ? call.parked().by() : call.sent().by();
    }

    /** Where it had been sent or parked, which whoever has it next wants to know. */
    private Party sentTo() {
      return call.sent() == null ? new Party.Slot(call.parked().slot()) : call.sent().to();
    }

    @Override
    public Boolean of(Way.ToMailbox step) {
      if (!draft.office.hasMailbox(step.owner())) {
        return false;
      }
      Party.Mailbox mailbox = new Party.Mailbox(step.owner());
      draft.found(Station.Kind.MAILBOX, mailbox);
      machines.takeMessage(call, mailbox, why, missedBy);
      return true;
    }

    @Override
    public Boolean of(Way.WaitOn step) {
      ParkedCall longer =
          call.parked().until(draft.now.plus(draft.settings().parking().comeBack()));
      draft.emit(new TalkEvent.Parked(call.id(), draft.now, longer, after));
      return true;
    }
  }
}
