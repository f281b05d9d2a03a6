package oficina.core.state;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallerId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.call.TapeEnd;
import oficina.core.events.CallBackEvent.CallBackAnswered;
import oficina.core.events.CallBackEvent.CallBackArmed;
import oficina.core.events.CallBackEvent.CallBackCleared;
import oficina.core.events.CallBackEvent.CallBackRequested;
import oficina.core.events.CallBackEvent.CallBackRings;
import oficina.core.events.CallEvent;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.MachineEvent.MailboxAnswered;
import oficina.core.events.MachineEvent.MessageHeard;
import oficina.core.events.MachineEvent.RecordingBegan;
import oficina.core.events.MachineEvent.RecordingEnded;
import oficina.core.events.MachineEvent.Welcomed;
import oficina.core.events.ReachEvent.Asked;
import oficina.core.events.ReachEvent.Blocked;
import oficina.core.events.ReachEvent.Delivered;
import oficina.core.events.ReachEvent.Failed;
import oficina.core.events.ReachEvent.NetworkReached;
import oficina.core.events.ReachEvent.Originated;
import oficina.core.events.ReachEvent.Routed;
import oficina.core.events.ReachEvent.SentOn;
import oficina.core.events.ReachEvent.Silenced;
import oficina.core.events.TalkEvent.CallCleared;
import oficina.core.events.TalkEvent.ConnectionCleared;
import oficina.core.events.TalkEvent.DigitsSent;
import oficina.core.events.TalkEvent.Established;
import oficina.core.events.TalkEvent.Held;
import oficina.core.events.TalkEvent.HoldReminded;
import oficina.core.events.TalkEvent.Merged;
import oficina.core.events.TalkEvent.Moved;
import oficina.core.events.TalkEvent.Muted;
import oficina.core.events.TalkEvent.Parked;
import oficina.core.events.TalkEvent.Retrieved;
import oficina.core.events.TalkEvent.Unattended;
import oficina.core.events.TapeEvent.TapeAnnounced;
import oficina.core.events.TapeEvent.TapeRefused;
import oficina.core.events.TapeEvent.TapeStarted;
import oficina.core.events.TapeEvent.TapeStopped;
import oficina.core.people.PersonId;
import oficina.core.queueing.Member;
import oficina.core.routing.Diversion;
import org.jspecify.annotations.Nullable;

/** What each event changes. The answers say nothing. */
final class Applying extends ApplyingBesideCalls implements ExchangeEvent.Cases<@Nullable Void> {
  /** How it ends at a member of a queue who does not take a call. */
  private static final Set<Cause> NOT_TAKEN = Set.of(Cause.NOT_TAKEN, Cause.DECLINED);

  Applying(ExchangeState state) {
    super(state);
  }

  // --- calls ------------------------------------------------------------------------------------

  @Override
  public @Nullable Void of(Originated e) {
    if (e.called().alwaysGoesOut()) {
      state.helpCalledAt(e.at());
    }
    return begins(
        e,
        new Origin(
            e.caller(),
            e.called(),
            e.callerId(),
            e.at(),
            new Origin.Purpose(e.announces(), e.asideOf(), null),
            e.behalf()),
        Connection.begun(e.leg(), e.caller(), e.device(), connected(e.at())),
        Standing.atFirst(e.afterAnswer(), e.ways()));
  }

  private @Nullable Void begins(CallEvent e, Origin origin, Connection caller, Standing standing) {
    List<Connection> alone = List.of(caller);
    state.put(new Call(e.call(), origin, alone, caller.leg() + 1, Set.of(), standing));
    return null;
  }

  private static Connection.Phase connected(Instant at) {
    return new Connection.Phase(ConnectionState.CONNECTED, at, null);
  }

  @Override
  public @Nullable Void of(NetworkReached e) {
    Connection.Phase initiated = new Connection.Phase(ConnectionState.INITIATED, e.at(), e.until());
    return change(
        e,
        call ->
            call.plus(reached(call, e.leg(), e.party(), e.party(), initiated).showing(e.shown())));
  }

  @Override
  public @Nullable Void of(Delivered e) {
    Connection.Phase alerting = new Connection.Phase(ConnectionState.ALERTING, e.at(), e.until());
    if (state.call(e.call()).waits() && e.party().employee() != null) {
      state.queues().change(e.party().employee(), member -> member.rungAt(e.at()));
    }
    return change(
        e,
        call -> {
          Connection known = call.leg(e.leg());
          return known == null
              ? call.plus(reached(call, e.leg(), e.party(), e.line(), alerting))
              : call.replacing(known.to(ConnectionState.ALERTING, e.at(), e.until()));
        });
  }

  private static Connection reached(
      Call call, int leg, Party party, Party line, Connection.Phase phase) {
    PersonId sender = call.sent() == null ? null : call.sent().by();
    List<Diversion> diversions = call.standing().onItsWay().diversions();
    Party wanted = diversions.isEmpty() ? null : diversions.get(0).from();
    return Connection.begun(leg, party, null, phase).on(line, sender).forwardedFrom(wanted);
  }

  @Override
  public @Nullable Void of(Asked e) {
    return connection(e, e.leg(), c -> c.to(ConnectionState.ASKED, e.at(), e.until()));
  }

  @Override
  public @Nullable Void of(Silenced e) {
    return connection(e, e.leg(), Connection::quiet);
  }

  @Override
  public @Nullable Void of(Established e) {
    Call before = state.call(e.call());
    PersonId by = before.leg(e.leg()).party().employee();
    if (before.waits() && by != null) {
      state.queues().change(by, member -> member.taking(e.at()));
    }
    return change(
        e,
        call ->
            call.replacing(call.leg(e.leg()).establishedOn(e.device(), e.at()))
                .with(call.standing().answeredAt(e.at(), by)));
  }

  @Override
  public @Nullable Void of(Held e) {
    return connection(e, e.leg(), c -> c.to(ConnectionState.HOLD, e.at(), e.remindAt()));
  }

  @Override
  public @Nullable Void of(HoldReminded e) {
    return connection(e, e.leg(), Connection::afterReminder);
  }

  @Override
  public @Nullable Void of(Retrieved e) {
    return connection(e, e.leg(), c -> c.to(ConnectionState.CONNECTED, e.at(), null));
  }

  @Override
  public @Nullable Void of(Muted e) {
    return connection(e, e.leg(), c -> c.muted(e.on()));
  }

  @Override
  public @Nullable Void of(Unattended e) {
    return connection(e, e.leg(), c -> c.unattended(lost(e)));
  }

  private static Connection.@Nullable Lost lost(Unattended e) {
    return e.lostAt() == null ? null : new Connection.Lost(e.at(), e.lostAt());
  }

  @Override
  public @Nullable Void of(Moved e) {
    return connection(e, e.leg(), c -> c.movedTo(e.device()));
  }

  @Override
  public @Nullable Void of(SentOn e) {
    return change(e, call -> call.with(call.standing().sentOn(e.sent(), e.ways())));
  }

  @Override
  public @Nullable Void of(Routed e) {
    return change(e, call -> call.with(call.standing().routed(e.diversions(), e.ways())));
  }

  @Override
  public @Nullable Void of(Blocked e) {
    return null; // what becomes of it follows; the history says why
  }

  @Override
  public @Nullable Void of(Parked e) {
    return change(e, call -> call.with(call.standing().parkedAt(e.parking(), e.ways())));
  }

  @Override
  public @Nullable Void of(Failed e) {
    Call.Failure failure = new Call.Failure(e.cause(), e.at(), e.until());
    return change(e, call -> call.failing(failure, e.missedBy()));
  }

  @Override
  public @Nullable Void of(MailboxAnswered e) {
    return change(
        e,
        call ->
            call.wantedBy(e.missedBy())
                .plus(Connection.ofMailbox(e.leg(), e.mailbox(), e.at(), e.until()))
                .with(call.standing().takesMessage()));
  }

  @Override
  public @Nullable Void of(Welcomed e) {
    Connection.Phase speaks = new Connection.Phase(ConnectionState.CONNECTED, e.at(), e.until());
    return change(
        e,
        call ->
            call.plus(Connection.begun(e.leg(), e.welcome(), null, speaks))
                .with(call.standing().welcomed()));
  }

  @Override
  public @Nullable Void of(RecordingBegan e) {
    return connection(e, e.leg(), c -> c.recording(e.at(), e.until()));
  }

  @Override
  public @Nullable Void of(MessageHeard e) {
    return connection(e, e.leg(), c -> c.taking(Connection.Taking.MESSAGE));
  }

  @Override
  public @Nullable Void of(RecordingEnded e) {
    return connection(e, e.leg(), c -> c.taking(Connection.Taking.NOTHING));
  }

  @Override
  public @Nullable Void of(TapeStarted e) {
    return connection(e, e.leg(), c -> c.taped(Tape.startedAt(e.at())));
  }

  @Override
  public @Nullable Void of(TapeAnnounced e) {
    return connection(e, e.leg(), c -> c.taped(c.tape().announcedAt(e.at())));
  }

  @Override
  public @Nullable Void of(TapeRefused e) {
    return connection(e, e.leg(), c -> c.taped(new Tape(Tape.State.REFUSED, e.at(), null)));
  }

  @Override
  public @Nullable Void of(TapeStopped e) {
    boolean byThem = e.why() == TapeEnd.STOPPED;
    Tape tape = byThem ? new Tape(Tape.State.STOPPED, e.at(), null) : Tape.NONE;
    return connection(e, e.leg(), c -> c.taped(tape));
  }

  @Override
  public @Nullable Void of(DigitsSent e) {
    return null; // the call stays as it is; its record keeps them
  }

  @Override
  public @Nullable Void of(ConnectionCleared e) {
    Call before = state.call(e.call());
    Connection gone = before.leg(e.leg());
    PersonId person = gone.party().employee();
    if (person != null && before.waits() && NOT_TAKEN.contains(e.cause())) {
      state.queues().change(person, Member::missing);
    }
    if (person != null && before.place() != null && person.equals(before.place().by())) {
      state.queues().change(person, member -> member.idleFrom(e.at()));
    }
    return change(
        e,
        call -> {
          Call left = call.without(gone);
          return gone.party().waitsAt() == null
              ? left
              : left.with(left.standing().at(left.place().left(e.at())));
        });
  }

  @Override
  public @Nullable Void of(CallCleared e) {
    Call over = state.call(e.call());
    state.remove(over);
    if (over.callBack() != null) {
      state.change(over.callBack(), CallBack::waitOn);
    }
    return null;
  }

  /** Takes a party out of the other call and into this one. */
  @Override
  public @Nullable Void of(Merged e) {
    Call other = state.call(e.other());
    Connection moved = other.leg(e.otherLeg());
    state.put(other.without(moved));
    return change(
        e,
        call -> {
          Call both = call.plus(moved.as(e.leg(), e.at()).on(moved.line(), e.by()));
          if (!moved.answered()) {
            return both.with(both.standing().sendingAfterAnswer(other.afterAnswer()));
          }
          if (both.answered() == null) {
            both = both.with(both.standing().answeredAt(e.at(), moved.party().employee()));
          }
          boolean begins = e.stays() && both.conference() && both.starter() == null;
          return begins ? both.with(both.standing().startedBy(e.by())) : both;
        });
  }

  // --- call backs -------------------------------------------------------------------------------

  @Override
  public @Nullable Void of(CallBackRequested e) {
    state.add(new CallBack(e.call(), e.by(), e.on(), e.until(), !e.afterUse(), 0, false));
    return null;
  }

  @Override
  public @Nullable Void of(CallBackArmed e) {
    state.change(e.call(), CallBack::arm);
    return null;
  }

  @Override
  public @Nullable Void of(CallBackRings e) {
    state.change(e.request(), CallBack::begin);
    Origin.Purpose purpose = new Origin.Purpose(null, null, e.request());
    Connection.Phase alerting = new Connection.Phase(ConnectionState.ALERTING, e.at(), e.until());
    return begins(
        e,
        new Origin(e.caller(), e.called(), CallerId.WITHHELD, e.at(), purpose, null),
        Connection.begun(e.leg(), e.caller(), null, alerting),
        Standing.atFirst("", List.of()));
  }

  @Override
  public @Nullable Void of(CallBackAnswered e) {
    return connection(e, e.leg(), c -> c.establishedOn(e.device(), e.at()));
  }

  @Override
  public @Nullable Void of(CallBackCleared e) {
    state.removeCallBack(e.call());
    return null;
  }
}
