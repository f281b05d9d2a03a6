package oficina.core.state;

import java.util.function.UnaryOperator;
import oficina.core.call.DeviceId;
import oficina.core.call.PhoneStage;
import oficina.core.events.CallEvent;
import oficina.core.events.DeviceEvent;
import oficina.core.events.DeviceEvent.DeviceCame;
import oficina.core.events.DeviceEvent.DeviceWent;
import oficina.core.events.MemberEvent;
import oficina.core.events.MemberEvent.FinishingBegan;
import oficina.core.events.MemberEvent.FinishingEnded;
import oficina.core.events.MemberEvent.Rested;
import oficina.core.events.MemberEvent.TookPart;
import oficina.core.events.PhoneEvent;
import oficina.core.events.PhoneEvent.PhoneCalled;
import oficina.core.events.PhoneEvent.PhoneProgressed;
import oficina.core.events.PhoneEvent.PhoneReleased;
import oficina.core.events.QueueEvent;
import oficina.core.events.QueueEvent.NumberGiven;
import oficina.core.events.QueueEvent.PlaceKept;
import oficina.core.events.QueueEvent.Queued;
import oficina.core.events.QueueEvent.Widened;
import oficina.core.events.StatusEvent;
import oficina.core.events.StatusEvent.StatusOver;
import oficina.core.events.StatusEvent.StatusSet;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Status;
import oficina.core.queueing.Member;
import oficina.core.queueing.Place;
import org.jspecify.annotations.Nullable;

/**
 * What events change beside the course of a call: devices, what people are, and who waits at lines.
 */
abstract class ApplyingBesideCalls
    implements DeviceEvent.Cases<@Nullable Void>,
        PhoneEvent.Cases<@Nullable Void>,
        StatusEvent.Cases<@Nullable Void>,
        MemberEvent.Cases<@Nullable Void>,
        QueueEvent.Cases<@Nullable Void> {
  protected final ExchangeState state;

  ApplyingBesideCalls(ExchangeState state) {
    this.state = state;
  }

  protected @Nullable Void change(CallEvent e, UnaryOperator<Call> change) {
    state.put(change.apply(state.call(e.call())));
    return null;
  }

  protected @Nullable Void connection(CallEvent e, int leg, UnaryOperator<Connection> change) {
    return change(e, call -> call.replacing(change.apply(call.leg(leg))));
  }

  // --- who waits --------------------------------------------------------------------------------

  @Override
  public @Nullable Void of(Queued e) {
    Connection.Phase music = new Connection.Phase(ConnectionState.CONNECTED, e.at(), e.due());
    PhoneNumber number = state.call(e.call()).caller().outsideNumber();
    if (number != null) {
      state.queues().came(e.queue().line(), number, e.at());
    }
    return change(
        e,
        call ->
            call.plus(Connection.begun(e.leg(), e.queue(), null, music))
                .with(call.standing().at(place(e))));
  }

  private static Place place(Queued e) {
    return new Place(
        e.queue().line(),
        e.since(),
        e.at(),
        e.until(),
        e.priority(),
        e.why(),
        e.wanted(),
        e.asked() ? Place.Stage.ASKED : Place.Stage.WAITING,
        null,
        null,
        e.kept(),
        e.given());
  }

  @Override
  public @Nullable Void of(NumberGiven e) {
    return change(
        e,
        call ->
            call.replacing(call.leg(e.leg()).dueAt(e.due()))
                .with(call.standing().at(call.place().giving(e.digits(), e.at(), e.until()))));
  }

  @Override
  public @Nullable Void of(PlaceKept e) {
    Place.Kept kept = new Place.Kept(e.number(), e.at(), 0);
    return change(
        e,
        call ->
            call.replacing(call.leg(e.leg()).dueAt(e.until()))
                .with(call.standing().at(call.place().keeping(kept, e.until()))));
  }

  @Override
  public @Nullable Void of(Widened e) {
    return connection(e, e.leg(), c -> c.dueAt(e.due()));
  }

  // --- devices ----------------------------------------------------------------------------------

  @Override
  public @Nullable Void of(DeviceCame e) {
    state.came(new Device(e.device(), e.person(), e.kind(), e.attended()));
    return null;
  }

  @Override
  public @Nullable Void of(DeviceWent e) {
    DeviceId gone = e.device();
    state.went(e.person(), gone);
    return null;
  }

  @Override
  public @Nullable Void of(PhoneCalled e) {
    state.add(
        new OutsidePhone(
            e.line(),
            e.person(),
            e.number(),
            PhoneStage.SETTING_UP,
            e.until(),
            e.shown(),
            e.call(),
            e.places()));
    return null;
  }

  @Override
  public @Nullable Void of(PhoneProgressed e) {
    state.change(e.person(), phone -> phone.at(e.stage(), e.until()));
    return null;
  }

  @Override
  public @Nullable Void of(PhoneReleased e) {
    state.removePhone(e.person());
    return null;
  }

  // --- people -----------------------------------------------------------------------------------

  @Override
  public @Nullable Void of(Rested e) {
    Member.Rest rest = new Member.Rest(e.at(), e.reason(), e.by());
    state.queues().change(e.person(), member -> member.resting(e.line(), rest));
    return null;
  }

  @Override
  public @Nullable Void of(TookPart e) {
    state.queues().change(e.person(), member -> member.takingPart(e.line()));
    return null;
  }

  @Override
  public @Nullable Void of(FinishingBegan e) {
    Member.Finishing now = new Member.Finishing(e.line(), e.call(), e.at(), e.until());
    state.queues().change(e.person(), member -> member.finishing(now));
    return null;
  }

  @Override
  public @Nullable Void of(FinishingEnded e) {
    state.queues().change(e.person(), member -> member.finishing(null));
    return null;
  }

  @Override
  public @Nullable Void of(StatusSet e) {
    state.says(e.person(), new Status(e.kind(), e.text(), e.at(), e.until()));
    return null;
  }

  @Override
  public @Nullable Void of(StatusOver e) {
    state.says(e.person(), null);
    return null;
  }
}
