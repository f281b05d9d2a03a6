package oficina.core.exchange;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.exchange.Decision.Accepted;
import oficina.core.exchange.Refusal.Reason;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.ExchangeState;
import oficina.core.state.OutsidePhone;
import org.jspecify.annotations.Nullable;

/**
 * One decision: who decides on which command, after checking that it is the asker's call. The
 * answer to a command is the refusal, or null when it is carried out.
 */
final class Deciding implements Command.Cases<@Nullable Refusal> {
  private final ExchangeState state;
  private final Draft draft;
  private final Handling handling;
  private final Sending sending;
  private final Placing placing;
  private final Parking parking;
  private final Conferencing conferencing;
  private final CallBacks callBacks;
  private final Mailboxes mailboxes;
  private final Tapes tapes;
  private final OutsidePhones phones;

  Deciding(ExchangeState state, Office office, Instant now) {
    this.state = state;
    draft = new Draft(state, office, now);
    handling = new Handling(draft);
    sending = new Sending(draft);
    placing = new Placing(draft);
    parking = new Parking(draft);
    conferencing = new Conferencing(draft);
    callBacks = new CallBacks(draft);
    mailboxes = new Mailboxes(draft);
    tapes = new Tapes(draft);
    phones = new OutsidePhones(draft);
  }

  /** What the decision works on. */
  Draft draft() {
    return draft;
  }

  Decision decide(Command command) {
    Refusal refusal = notThere(command);
    if (refusal == null) {
      refusal = command.accept(this);
    }
    if (refusal != null) {
      return refusal;
    }
    phones.letGo();
    callBacks.advance();
    tapes.followUp();
    return new Accepted(draft.events());
  }

  private @Nullable Refusal notThere(Command command) {
    return command instanceof Command.AtDevice at && !(at instanceof Command.RingsOutside)
        ? phones.mustBeThere(at.person(), at.device())
        : null;
  }

  // --- what a person asks for a call of theirs --------------------------------------------------

  private interface OnMine {
    @Nullable Refusal decide(Call call, Connection mine);
  }

  private @Nullable Refusal mine(Command.ByPerson command, OnMine service) {
    Call call = draft.call(command.call());
    if (call == null) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    Connection mine = call.of(command.person());
    return mine == null ? notMine(call, command.person()) : service.decide(call, mine);
  }

  /**
   * Somebody without a part in the call learns nothing of it, unless they have just sent it away or
   * it has just rung for them.
   */
  private static Refusal notMine(Call call, PersonId person) {
    Refusal sentAway = Sending.sentAway(call, person);
    if (sentAway != null) {
      return sentAway;
    }
    if (call.rang().contains(person)) {
      for (Connection connection : call.connections()) {
        PersonId other = connection.party().employee();
        if (other != null && connection.answered() && !connection.party().equals(call.caller())) {
          return Refusal.answeredBy(other);
        }
      }
    }
    return Refusal.of(Reason.NO_SUCH_CALL);
  }

  @Override
  public @Nullable Refusal of(Command.MakeCall c) {
    return placing.make(c);
  }

  @Override
  public @Nullable Refusal of(Command.Answer c) {
    return mine(c, (call, mine) -> handling.answer(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(Command.Decline c) {
    return mine(c, handling::decline);
  }

  @Override
  public @Nullable Refusal of(Command.Silence c) {
    return mine(c, handling::silence);
  }

  @Override
  public @Nullable Refusal of(Command.Clear c) {
    return mine(c, handling::clear);
  }

  @Override
  public @Nullable Refusal of(Command.Hold c) {
    return mine(c, handling::hold);
  }

  @Override
  public @Nullable Refusal of(Command.Retrieve c) {
    return mine(c, handling::retrieve);
  }

  @Override
  public @Nullable Refusal of(Command.Mute c) {
    return mine(c, (call, mine) -> handling.mute(call, mine, c.on()));
  }

  @Override
  public @Nullable Refusal of(Command.PutThrough c) {
    return mine(c, (call, mine) -> sending.putThrough(call, mine, c));
  }

  /** Whoever pulls a call back is no longer in it. */
  @Override
  public @Nullable Refusal of(Command.PullBack c) {
    Call call = draft.call(c.call());
    return call == null ? Refusal.of(Reason.NO_SUCH_CALL) : sending.pullBack(call, c);
  }

  @Override
  public @Nullable Refusal of(Command.Deflect c) {
    return mine(c, (call, mine) -> sending.deflect(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(Command.Announce c) {
    return mine(c, (call, mine) -> sending.announce(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(Command.HandOver c) {
    return mine(c, (call, mine) -> sending.handOver(call, mine, c.other()));
  }

  @Override
  public @Nullable Refusal of(Command.Reconnect c) {
    return mine(c, sending::reconnect);
  }

  @Override
  public @Nullable Refusal of(Command.Join c) {
    return mine(c, (call, mine) -> conferencing.join(call, mine, c.other()));
  }

  @Override
  public @Nullable Refusal of(Command.TakeAside c) {
    return mine(c, (call, mine) -> conferencing.takeAside(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(Command.MuteMember c) {
    return mine(c, (call, mine) -> conferencing.muteMember(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(Command.Drop c) {
    return mine(c, (call, mine) -> conferencing.drop(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(Command.EndForAll c) {
    return mine(c, conferencing::endForAll);
  }

  @Override
  public @Nullable Refusal of(Command.Park c) {
    return mine(c, (call, mine) -> parking.park(call, mine, c));
  }

  @Override
  public @Nullable Refusal of(Command.TakeParked c) {
    return parking.take(c);
  }

  @Override
  public @Nullable Refusal of(Command.MoveHere c) {
    return mine(c, (call, mine) -> handling.moveHere(call, mine, c.device()));
  }

  @Override
  public @Nullable Refusal of(Command.RequestCallBack c) {
    return mine(c, (call, mine) -> callBacks.request(call, mine, c.request()));
  }

  @Override
  public @Nullable Refusal of(Command.CancelCallBack c) {
    return callBacks.cancel(c);
  }

  @Override
  public @Nullable Refusal of(Command.PickUp c) {
    return new PickUps(draft).pickUp(c);
  }

  @Override
  public @Nullable Refusal of(Command.TakeOver c) {
    return new Delegating(draft).takeOver(c);
  }

  @Override
  public @Nullable Refusal of(Command.SendDigits c) {
    return mine(c, (call, mine) -> handling.sendDigits(call, mine, c.digits()));
  }

  // --- mailboxes --------------------------------------------------------------------------------

  @Override
  public @Nullable Refusal of(Command.ToMailbox c) {
    return mine(c, mailboxes::takeMessage);
  }

  @Override
  public @Nullable Refusal of(Command.TakeFromMailbox c) {
    return mailboxes.take(c);
  }

  @Override
  public @Nullable Refusal of(Command.Tape c) {
    return mine(c, (call, mine) -> tapes.switchTo(call, mine, c.on()));
  }

  private @Nullable Refusal atMailbox(Command.ByMailbox command, OnLeg what) {
    Call call = draft.call(command.call());
    Connection mailbox = call == null ? null : call.mailbox();
    if (mailbox == null || mailbox.leg() != command.leg()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    what.happens(call, mailbox);
    return null;
  }

  @Override
  public @Nullable Refusal of(Command.GreetingOver c) {
    return atMailbox(c, mailboxes::greetingOver);
  }

  @Override
  public @Nullable Refusal of(Command.MessageSounds c) {
    return atMailbox(c, mailboxes::sounds);
  }

  @Override
  public @Nullable Refusal of(Command.CallerSilent c) {
    return atMailbox(c, mailboxes::silent);
  }

  @Override
  public @Nullable Refusal of(Command.AttendantClears c) {
    return new Attendants(draft).clear(c);
  }

  @Override
  public @Nullable Refusal of(Command.AttendantConnects c) {
    return new Attendants(draft).connect(c);
  }

  @Override
  public @Nullable Refusal of(Command.WelcomeOver c) {
    return new Welcomes(draft).over(c);
  }

  @Override
  public @Nullable Refusal of(Command.WelcomeConnects c) {
    return new Welcomes(draft).connect(c);
  }

  // --- devices and people -----------------------------------------------------------------------

  @Override
  public @Nullable Refusal of(Command.DeviceComes c) {
    return new Devices(draft).comes(c);
  }

  @Override
  public @Nullable Refusal of(Command.DeviceGoes c) {
    return new Devices(draft).goes(c);
  }

  @Override
  public @Nullable Refusal of(Command.LendDevice c) {
    return new Devices(draft).lend(c);
  }

  @Override
  public @Nullable Refusal of(Command.SetStatus c) {
    return new Statuses(draft).set(c);
  }

  @Override
  public @Nullable Refusal of(Command.Leave c) {
    callBacks.forget(c.person());
    new Statuses(draft).over(c.person());
    for (CallId id : state.inHand(c.person())) {
      Call call = draft.call(id);
      Connection own = call == null ? null : call.of(c.person());
      if (own != null) {
        handling.clear(call, own);
      }
    }
    new Devices(draft).allGo(c.person());
    return null;
  }

  // --- what the network reports -----------------------------------------------------------------

  private interface OnLeg {
    void happens(Call call, Connection leg);
  }

  private interface OnPhone {
    void happens(OutsidePhone phone);
  }

  /** A line leads to a party of a call, or to a telephone that is one of somebody's devices. */
  private @Nullable Refusal byNetwork(Command.ByNetwork command, OnLeg what, OnPhone atPhone) {
    OutsidePhone phone = draft.state.outsidePhoneOn(command.call());
    if (phone != null) {
      atPhone.happens(phone);
      return null;
    }
    Call call = draft.call(command.call());
    Connection connection = call == null ? null : call.leg(command.leg());
    if (connection == null || !connection.party().usesOutsideLine()) {
      return Refusal.of(Reason.NO_SUCH_CALL);
    }
    what.happens(call, connection);
    return null;
  }

  @Override
  public @Nullable Refusal of(Command.Arrive c) {
    return placing.arrive(c);
  }

  @Override
  public @Nullable Refusal of(Command.NetworkRings c) {
    return byNetwork(c, this::networkRings, phones::rings);
  }

  @Override
  public @Nullable Refusal of(Command.NetworkAnswers c) {
    return byNetwork(c, this::networkAnswers, phones::answers);
  }

  @Override
  public @Nullable Refusal of(Command.NetworkFails c) {
    return byNetwork(
        c, (call, leg) -> draft.gone(call, leg, c.cause()), phone -> phones.gone(phone, c.cause()));
  }

  @Override
  public @Nullable Refusal of(Command.NetworkClears c) {
    return byNetwork(
        c,
        (call, leg) -> draft.gone(call, leg, Cause.NORMAL),
        phone -> phones.gone(phone, Cause.NORMAL));
  }

  /**
   * Whoever speaks with a person lets them hear the tones; a mailbox or a tape understands them.
   */
  @Override
  public @Nullable Refusal of(Command.NetworkKeys c) {
    return byNetwork(
        c,
        (call, leg) -> {
          if (leg.state() == ConnectionState.ASKED) {
            new TakingByKey(draft).keys(call, leg, c.digits());
          } else if (call.mailbox() != null) {
            mailboxes.keys(call, call.mailbox(), c.digits());
          } else {
            tapes.keys(call, leg, c.digits());
          }
        },
        phone -> phones.keys(phone, c.digits()));
  }

  private void networkRings(Call call, Connection leg) {
    if (leg.state() == ConnectionState.INITIATED) {
      draft.emit(
          new ReachEvent.Delivered(
              call.id(), draft.now, leg.leg(), leg.party(), leg.line(), leg.due()));
    }
  }

  private void networkAnswers(Call call, Connection leg) {
    if (leg.answered() || new TakingByKey(draft).asks(call, leg)) {
      return;
    }
    draft.establish(call, leg, null);
    if (!call.afterAnswer().isEmpty()) {
      draft.emit(new TalkEvent.DigitsSent(call.id(), draft.now, leg.leg(), call.afterAnswer()));
    }
  }

  // --- what time brings -------------------------------------------------------------------------

  @Override
  public @Nullable Refusal of(Command.Tick c) {
    state.statusOverBy(draft.now).forEach(new Statuses(draft)::over);
    state.dueBy(draft.now).forEach(this::timeIsUp);
    phones.timeIsUp();
    return null;
  }

  /** Has happen what is due in this call. */
  void timeIsUp(CallId id) {
    Call call = draft.call(id);
    if (call == null) {
      callBacks.expired(id);
      return;
    }
    if (call.waitsInSlot() && !call.parked().until().isAfter(draft.now)) {
      parking.comesBack(call);
      return;
    }
    if (call.failure() != null && !call.failure().until().isAfter(draft.now)) {
      draft.end(call, call.failure().cause());
      return;
    }
    for (Connection connection : call.connections()) {
      if (!connection.attended() && !connection.lostAt().isAfter(draft.now)) {
        new Devices(draft).givenUp(call, connection);
        return;
      }
      if (connection.due() == null || connection.due().isAfter(draft.now)) {
        continue;
      }
      if (connection.party().mailboxOf() != null) {
        mailboxes.timeIsUp(call, connection);
        return;
      }
      if (connection.state() == ConnectionState.HOLD) {
        draft.emit(new TalkEvent.HoldReminded(id, draft.now, connection.leg()));
      } else {
        draft.gone(draft.call(id), connection, Cause.NO_ANSWER);
      }
    }
  }
}
