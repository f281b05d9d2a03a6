package oficina.core.services;

import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Refusal;
import oficina.core.decision.Refusal.Reason;
import oficina.core.draft.Answering;
import oficina.core.draft.Clearing;
import oficina.core.draft.Consequences;
import oficina.core.draft.Draft;
import oficina.core.draft.Onward;
import oficina.core.draft.Reachability;
import oficina.core.draft.Refusals;
import oficina.core.events.ParkedCall;
import oficina.core.events.SentCall;
import oficina.core.events.TalkEvent;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.core.routing.Called;
import oficina.core.routing.Route;
import oficina.core.routing.Walk;
import oficina.core.routing.Way;
import oficina.core.routing.Ways;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import org.jspecify.annotations.Nullable;

/** The ways to send a call on. */
public final class Sending {
  private static final int MOST_SENDINGS = Walk.MOST_STEPS;

  private final Draft draft;
  private final Reachability reach;
  private final Onward onward;
  private final Clearing clearing;
  private final Answering answering;
  private final Parking parking;
  private final Placing placing;

  /** For one decision. */
  public Sending(Consequences then, Parking parking, Placing placing) {
    draft = then.draft();
    reach = then.reach();
    onward = then.onward();
    clearing = then.clearing();
    answering = then.answering();
    this.parking = parking;
    this.placing = placing;
  }

  /** Single-step transfer. The caller stays with the sender whenever it is refused. */
  public @Nullable Refusal putThrough(Call call, Connection mine, SendCommand.PutThrough c) {
    Refusal refusal = Refusals.twoParties(call);
    if (refusal == null) {
      refusal = Refusals.notCallable(draft, c.person(), c.to());
    }
    if (refusal != null) {
      return refusal;
    }
    Party target = Called.party(draft.office, c.to());
    if (target.slot() != null) {
      return parking.park(
          call, mine, new SendCommand.Park(call.id(), c.person(), target.slot(), null, ""));
    }
    refusal = badTarget(call, c.person(), c.to());
    if (refusal != null) {
      return refusal;
    }
    clearing.clear(call.id(), mine, Cause.TRANSFERRED);
    List<Way> after = Ways.whenSentOn(draft.settings(), c.person(), target, c.unanswered());
    onward.send(call, c.person(), target, c.callerId(), after);
    return null;
  }

  /** Refused unless it rings here for somebody, and not for a wish of their own. */
  public @Nullable Refusal mayDeflect(Call call, Connection mine) {
    boolean caller = !call.ringsBackAt(mine) && !call.keepsPlace();
    return mine.rings() && caller ? null : Refusal.of(Reason.NOT_RINGING);
  }

  /** It rings at the target instead of here; at other members of a group it goes on ringing. */
  public @Nullable Refusal deflect(Call call, Connection mine, SendCommand.Deflect c) {
    Refusal refusal = mayDeflect(call, mine);
    if (refusal == null) {
      refusal = badTarget(call, c.person(), c.to());
    }
    if (refusal != null) {
      return refusal;
    }
    clearing.clear(call.id(), mine, Cause.TRANSFERRED);
    Party target = Called.party(draft.office, c.to());
    List<Way> after = Ways.whenSentOn(draft.settings(), c.person(), target, null);
    onward.send(call, c.person(), target, c.callerId(), after);
    return null;
  }

  /** Refused before anything has changed: the caller stays where they are. */
  private @Nullable Refusal badTarget(Call call, PersonId sender, Dialled to) {
    Refusal refusal = Refusals.notCallable(draft, sender, to);
    if (refusal != null) {
      return refusal;
    }
    Party target = Called.party(draft.office, to);
    if (sender.equals(target.employee())) {
      return Refusal.of(Reason.OWN_NUMBER);
    }
    if (target.alwaysGoesOut()) {
      return Refusal.of(Reason.NOT_CALLABLE_FOR_OTHERS);
    }
    if (target.slot() != null) {
      return Refusal.of(Reason.NOT_TO_A_SLOT);
    }
    if (target.mailboxOf() != null && !draft.office.hasMailbox(target.mailboxOf())) {
      return Refusal.of(Reason.NO_MAILBOX);
    }
    if (call.connections().stream().anyMatch(each -> each.party().isSurely(target))) {
      return Refusal.of(Reason.SAME_PARTY);
    }
    if (call.standing().onItsWay().steps() >= MOST_SENDINGS) {
      return Refusal.of(Reason.SENT_TOO_OFTEN, MOST_SENDINGS);
    }
    return reach.walkSentOn(call).to(target).route().accept(new TargetRefused(reach));
  }

  /** Why a target cannot be reached now, or null when it can. */
  private record TargetRefused(Reachability reach) implements Route.Cases<@Nullable Refusal> {
    @Override
    public @Nullable Refusal of(Route.Ring route) {
      return null;
    }

    @Override
    public @Nullable Refusal of(Route.GoOut route) {
      return reach.linesBusy() ? Refusal.of(Reason.LINES_BUSY) : null;
    }

    @Override
    public @Nullable Refusal of(Route.TakeMessage route) {
      return null;
    }

    @Override
    public @Nullable Refusal of(Route.Attend route) {
      return null;
    }

    @Override
    public @Nullable Refusal of(Route.Greet route) {
      return null;
    }

    @Override
    public @Nullable Refusal of(Route.Wait route) {
      return null;
    }

    @Override
    public @Nullable Refusal of(Route.Refuse route) {
      return switch (route.cause()) {
        case NOT_SIGNED_IN -> Refusal.of(Reason.TARGET_NOT_SIGNED_IN);
        case BUSY -> Refusal.of(Reason.TARGET_BUSY);
        case DO_NOT_DISTURB -> Refusal.of(Reason.TARGET_DO_NOT_DISTURB);
        case OFF_DUTY -> Refusal.of(Reason.TARGET_OFF_DUTY);
        case CLOSED -> Refusal.of(Reason.TARGET_CLOSED);
        case DECLINED -> Refusal.of(Reason.TARGET_DECLINES);
        default -> Refusal.of(Reason.TARGET_NOT_IN_USE);
      };
    }
  }

  /** What has become of a call that this person has sent away; null when they have not. */
  public static @Nullable Refusal sentAway(Call call, PersonId person) {
    SentCall sent = call.sent();
    if (sent != null && sent.by().equals(person)) {
      return Refusal.of(sent.toTarget() ? Reason.ALREADY_SENT : Reason.NOT_SENT_ON);
    }
    ParkedCall parked = call.parked();
    if (parked != null && parked.by().equals(person)) {
      return Refusal.ofSlot(Reason.ALREADY_PARKED, parked.slot());
    }
    for (Connection there : call.connections()) {
      if (there.answered() && person.equals(there.sentBy())) {
        PersonId taker = there.party().employee();
        return taker == null ? Refusal.of(Reason.ANSWERED_THERE) : Refusal.answeredBy(taker);
      }
    }
    return null;
  }

  /** Refused unless this person has sent the call on and nobody has answered yet. */
  public @Nullable Refusal mayPullBack(Call call, PersonId person) {
    Refusal sentAway = sentAway(call, person);
    if (sentAway == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    if (call.of(person) != null) {
      return Refusal.of(Reason.NOT_SENT_ON); // for themselves: they are the one who waits
    }
    return sentAway.reason() == Reason.ALREADY_SENT ? null : sentAway;
  }

  /** Takes the call back that one has sent on. */
  public @Nullable Refusal pullBack(Call call, SendCommand.PullBack c) {
    Refusal refusal = mayPullBack(call, c.person());
    if (refusal == null) {
      answering.join(call, c.person(), new Party.Employee(c.person()), c.device());
    }
    return refusal;
  }

  /** Refused unless the call is settled and this person speaks in it. */
  public @Nullable Refusal mayAnnounce(Call call, Connection mine) {
    return call.settled() && mine.answered() ? null : Refusal.of(Reason.NOT_ANSWERED);
  }

  /** Consultation: the caller, or the conference, is held and the target is called. */
  public @Nullable Refusal announce(Call call, Connection mine, SendCommand.Announce c) {
    Refusal refusal = mayAnnounce(call, mine);
    if (refusal == null) {
      refusal = badTarget(call, c.person(), c.to());
    }
    if (refusal == null && Called.party(draft.office, c.to()).mailboxOf() != null) {
      refusal = Refusal.of(Reason.NOT_TO_A_MAILBOX);
    }
    if (refusal != null) {
      return refusal;
    }
    CallCommand.MakeCall announcement =
        new CallCommand.MakeCall(c.announcement(), c.person(), c.device(), c.to(), c.callerId());
    return placing.place(announcement, call.id());
  }

  /** The announcement ends, and the sender speaks with the caller again. */
  public @Nullable Refusal reconnect(Call announcement, Connection mine) {
    CallId before = announcement.heldFor();
    Call caller = before == null ? null : draft.call(before);
    PersonId person = mine.party().employee();
    clearing.gone(announcement, mine, Cause.NORMAL);
    Connection held = caller == null ? null : caller.of(person);
    if (held != null && held.state() == ConnectionState.HOLD) {
      answering.holdActive(person);
      draft.emit(new TalkEvent.Retrieved(caller.id(), draft.now, held.leg()));
    }
    return null;
  }

  /** Transfer: the two others speak with each other, or one hears it ring at the other. */
  public @Nullable Refusal handOver(Call call, Connection mine, CallId otherId) {
    PersonId person = mine.party().employee();
    Call other = draft.call(otherId);
    Refusal refusal = mayHandOver(call, mine, other);
    if (refusal != null) {
      return refusal;
    }
    if (other.waits()) {
      return leaveWaiting(call, mine, other);
    }
    Connection target = other.others(person).get(0);
    draft.emit(
        new TalkEvent.Merged(
            call.id(),
            draft.now,
            other.id(),
            target.leg(),
            call.nextLeg(),
            person,
            /* stays= */ false));
    clearing.clear(call.id(), mine, Cause.TRANSFERRED);
    clearing.end(draft.call(other.id()), Cause.TRANSFERRED);
    if (!target.answered()) {
      SentCall sent = new SentCall(person, target.party(), Way.Reason.SENT_ON, null);
      onward.sentOn(call, sent, Ways.whenSentOn(draft.settings(), person, target.party(), null));
    }
    return null;
  }

  /**
   * The caller waits at the line where one has waited oneself, and comes after whoever is there.
   */
  private @Nullable Refusal leaveWaiting(Call call, Connection mine, Call waiting) {
    PersonId person = mine.party().employee();
    Party line = new Party.Members(waiting.place().line());
    clearing.end(waiting, Cause.TRANSFERRED);
    clearing.clear(call.id(), mine, Cause.TRANSFERRED);
    List<Way> after = Ways.whenSentOn(draft.settings(), person, line, null);
    onward.send(draft.call(call.id()), person, line, null, after);
    return null;
  }

  /** Refused unless both calls are in hand and the two others can be brought together. */
  public @Nullable Refusal mayHandOver(Call call, Connection mine, @Nullable Call other) {
    PersonId person = mine.party().employee();
    if (other == null || other.id().equals(call.id()) || other.of(person) == null) {
      return Refusal.of(Reason.NO_OTHER_CALL);
    }
    if (!call.settled() || !mine.answered() || !other.of(person).answered()) {
      return Refusal.of(Reason.NOT_ANSWERED);
    }
    if (other.failure() != null || other.mailbox() != null) {
      return Refusal.of(Reason.NOBODY_THERE);
    }
    if (other.sent() != null) {
      return Refusal.of(Reason.NOT_ANSWERED); // whoever was called has sent it on: who will answer?
    }
    if (other.waits()) {
      return call.conference() ? Refusal.of(Reason.NOT_ANSWERED) : null;
    }
    if (other.connections().size() != 2) {
      return Refusal.of(Reason.MORE_THAN_TWO);
    }
    Connection target = other.others(person).get(0);
    if (call.conference() && !target.answered()) {
      return Refusal.of(Reason.NOT_ANSWERED); // nobody of a conference can wait while it rings
    }
    boolean there = call.connections().stream().anyMatch(c -> c.party().isSurely(target.party()));
    return there ? Refusal.of(Reason.SAME_PARTY) : null;
  }
}
