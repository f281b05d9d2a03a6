package oficina.server.journal;

import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import oficina.core.events.CallBackEvent;
import oficina.core.events.DeviceEvent;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.MachineEvent;
import oficina.core.events.MemberEvent;
import oficina.core.events.PhoneEvent;
import oficina.core.events.QueueEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.StatusEvent;
import oficina.core.events.TalkEvent;
import oficina.core.events.TapeEvent;

/**
 * The kinds of events as the journal knows them: a name for good, whatever its class is called, and
 * the version in which it is written today. Whoever changes what a record holds raises its version
 * and writes an {@link Upcaster} from the one before.
 */
enum EventKind {
  ORIGINATED("Originated", 4, ReachEvent.Originated.class),
  NETWORK_REACHED("NetworkReached", 2, ReachEvent.NetworkReached.class),
  DELIVERED("Delivered", 1, ReachEvent.Delivered.class),
  ASKED("Asked", 1, ReachEvent.Asked.class),
  SILENCED("Silenced", 1, ReachEvent.Silenced.class),
  ESTABLISHED("Established", 1, TalkEvent.Established.class),
  HELD("Held", 1, TalkEvent.Held.class),
  RETRIEVED("Retrieved", 1, TalkEvent.Retrieved.class),
  HOLD_REMINDED("HoldReminded", 1, TalkEvent.HoldReminded.class),
  MUTED("Muted", 1, TalkEvent.Muted.class),
  UNATTENDED("Unattended", 1, TalkEvent.Unattended.class),
  MOVED("Moved", 1, TalkEvent.Moved.class),
  PARKED("Parked", 2, TalkEvent.Parked.class),
  SENT_ON("SentOn", 2, ReachEvent.SentOn.class),
  MERGED("Merged", 1, TalkEvent.Merged.class),
  DIGITS_SENT("DigitsSent", 1, TalkEvent.DigitsSent.class),
  FAILED("Failed", 1, ReachEvent.Failed.class),
  MAILBOX_ANSWERED("MailboxAnswered", 2, MachineEvent.MailboxAnswered.class),
  WELCOMED("Welcomed", 1, MachineEvent.Welcomed.class),
  RECORDING_BEGAN("RecordingBegan", 1, MachineEvent.RecordingBegan.class),
  MESSAGE_HEARD("MessageHeard", 1, MachineEvent.MessageHeard.class),
  RECORDING_ENDED("RecordingEnded", 1, MachineEvent.RecordingEnded.class),
  TAPE_STARTED("TapeStarted", 1, TapeEvent.TapeStarted.class),
  TAPE_ANNOUNCED("TapeAnnounced", 1, TapeEvent.TapeAnnounced.class),
  TAPE_REFUSED("TapeRefused", 1, TapeEvent.TapeRefused.class),
  TAPE_STOPPED("TapeStopped", 1, TapeEvent.TapeStopped.class),
  CALL_BACK_REQUESTED("CallBackRequested", 1, CallBackEvent.CallBackRequested.class),
  CALL_BACK_ARMED("CallBackArmed", 1, CallBackEvent.CallBackArmed.class),
  CALL_BACK_RINGS("CallBackRings", 1, CallBackEvent.CallBackRings.class),
  CALL_BACK_ANSWERED("CallBackAnswered", 1, CallBackEvent.CallBackAnswered.class),
  CALL_BACK_CLEARED("CallBackCleared", 1, CallBackEvent.CallBackCleared.class),
  CONNECTION_CLEARED("ConnectionCleared", 1, TalkEvent.ConnectionCleared.class),
  CALL_CLEARED("CallCleared", 1, TalkEvent.CallCleared.class),
  DEVICE_CAME("DeviceCame", 1, DeviceEvent.DeviceCame.class),
  DEVICE_WENT("DeviceWent", 1, DeviceEvent.DeviceWent.class),
  PHONE_CALLED("PhoneCalled", 1, PhoneEvent.PhoneCalled.class),
  PHONE_PROGRESSED("PhoneProgressed", 1, PhoneEvent.PhoneProgressed.class),
  PHONE_RELEASED("PhoneReleased", 1, PhoneEvent.PhoneReleased.class),
  ROUTED("Routed", 1, ReachEvent.Routed.class),
  BLOCKED("Blocked", 1, ReachEvent.Blocked.class),
  STATUS_SET("StatusSet", 1, StatusEvent.StatusSet.class),
  STATUS_OVER("StatusOver", 1, StatusEvent.StatusOver.class),
  QUEUED("Queued", 1, QueueEvent.Queued.class),
  NUMBER_GIVEN("NumberGiven", 1, QueueEvent.NumberGiven.class),
  WIDENED("Widened", 1, QueueEvent.Widened.class),
  PLACE_KEPT("PlaceKept", 1, QueueEvent.PlaceKept.class),
  RESTED("Rested", 1, MemberEvent.Rested.class),
  TOOK_PART("TookPart", 1, MemberEvent.TookPart.class),
  FINISHING_BEGAN("FinishingBegan", 1, MemberEvent.FinishingBegan.class),
  FINISHING_ENDED("FinishingEnded", 1, MemberEvent.FinishingEnded.class);

  private static final Map<String, EventKind> BY_NAME =
      Arrays.stream(values()).collect(Collectors.toMap(EventKind::stored, Function.identity()));
  private static final Naming NAMING = new Naming();

  private final String stored;
  private final int version;
  private final Class<? extends ExchangeEvent> type;

  EventKind(String stored, int version, Class<? extends ExchangeEvent> type) {
    this.stored = stored;
    this.version = version;
    this.type = type;
  }

  String stored() {
    return stored;
  }

  int version() {
    return version;
  }

  Class<? extends ExchangeEvent> type() {
    return type;
  }

  static EventKind of(ExchangeEvent event) {
    return event.accept(NAMING);
  }

  /**
   * @throws UnreadableEventException when no kind was ever called so
   */
  static EventKind named(String stored) {
    EventKind kind = BY_NAME.get(stored);
    if (kind == null) {
      throw new UnreadableEventException("no kind of event is called " + stored);
    }
    return kind;
  }

  private static final class Naming implements ExchangeEvent.Cases<EventKind> {
    @Override
    public EventKind of(ReachEvent.Originated event) {
      return ORIGINATED;
    }

    @Override
    public EventKind of(ReachEvent.NetworkReached event) {
      return NETWORK_REACHED;
    }

    @Override
    public EventKind of(ReachEvent.Delivered event) {
      return DELIVERED;
    }

    @Override
    public EventKind of(ReachEvent.Asked event) {
      return ASKED;
    }

    @Override
    public EventKind of(ReachEvent.Silenced event) {
      return SILENCED;
    }

    @Override
    public EventKind of(TalkEvent.Established event) {
      return ESTABLISHED;
    }

    @Override
    public EventKind of(TalkEvent.Held event) {
      return HELD;
    }

    @Override
    public EventKind of(TalkEvent.Retrieved event) {
      return RETRIEVED;
    }

    @Override
    public EventKind of(TalkEvent.HoldReminded event) {
      return HOLD_REMINDED;
    }

    @Override
    public EventKind of(TalkEvent.Muted event) {
      return MUTED;
    }

    @Override
    public EventKind of(TalkEvent.Unattended event) {
      return UNATTENDED;
    }

    @Override
    public EventKind of(TalkEvent.Moved event) {
      return MOVED;
    }

    @Override
    public EventKind of(TalkEvent.Parked event) {
      return PARKED;
    }

    @Override
    public EventKind of(ReachEvent.SentOn event) {
      return SENT_ON;
    }

    @Override
    public EventKind of(TalkEvent.Merged event) {
      return MERGED;
    }

    @Override
    public EventKind of(TalkEvent.DigitsSent event) {
      return DIGITS_SENT;
    }

    @Override
    public EventKind of(ReachEvent.Failed event) {
      return FAILED;
    }

    @Override
    public EventKind of(MachineEvent.MailboxAnswered event) {
      return MAILBOX_ANSWERED;
    }

    @Override
    public EventKind of(MachineEvent.Welcomed event) {
      return WELCOMED;
    }

    @Override
    public EventKind of(MachineEvent.RecordingBegan event) {
      return RECORDING_BEGAN;
    }

    @Override
    public EventKind of(MachineEvent.MessageHeard event) {
      return MESSAGE_HEARD;
    }

    @Override
    public EventKind of(MachineEvent.RecordingEnded event) {
      return RECORDING_ENDED;
    }

    @Override
    public EventKind of(TapeEvent.TapeStarted event) {
      return TAPE_STARTED;
    }

    @Override
    public EventKind of(TapeEvent.TapeAnnounced event) {
      return TAPE_ANNOUNCED;
    }

    @Override
    public EventKind of(TapeEvent.TapeRefused event) {
      return TAPE_REFUSED;
    }

    @Override
    public EventKind of(TapeEvent.TapeStopped event) {
      return TAPE_STOPPED;
    }

    @Override
    public EventKind of(CallBackEvent.CallBackRequested event) {
      return CALL_BACK_REQUESTED;
    }

    @Override
    public EventKind of(CallBackEvent.CallBackArmed event) {
      return CALL_BACK_ARMED;
    }

    @Override
    public EventKind of(CallBackEvent.CallBackRings event) {
      return CALL_BACK_RINGS;
    }

    @Override
    public EventKind of(CallBackEvent.CallBackAnswered event) {
      return CALL_BACK_ANSWERED;
    }

    @Override
    public EventKind of(CallBackEvent.CallBackCleared event) {
      return CALL_BACK_CLEARED;
    }

    @Override
    public EventKind of(TalkEvent.ConnectionCleared event) {
      return CONNECTION_CLEARED;
    }

    @Override
    public EventKind of(TalkEvent.CallCleared event) {
      return CALL_CLEARED;
    }

    @Override
    public EventKind of(DeviceEvent.DeviceCame event) {
      return DEVICE_CAME;
    }

    @Override
    public EventKind of(DeviceEvent.DeviceWent event) {
      return DEVICE_WENT;
    }

    @Override
    public EventKind of(PhoneEvent.PhoneCalled event) {
      return PHONE_CALLED;
    }

    @Override
    public EventKind of(PhoneEvent.PhoneProgressed event) {
      return PHONE_PROGRESSED;
    }

    @Override
    public EventKind of(PhoneEvent.PhoneReleased event) {
      return PHONE_RELEASED;
    }

    @Override
    public EventKind of(ReachEvent.Routed event) {
      return ROUTED;
    }

    @Override
    public EventKind of(ReachEvent.Blocked event) {
      return BLOCKED;
    }

    @Override
    public EventKind of(StatusEvent.StatusSet event) {
      return STATUS_SET;
    }

    @Override
    public EventKind of(StatusEvent.StatusOver event) {
      return STATUS_OVER;
    }

    @Override
    public EventKind of(QueueEvent.Queued event) {
      return QUEUED;
    }

    @Override
    public EventKind of(QueueEvent.PlaceKept event) {
      return PLACE_KEPT;
    }

    @Override
    public EventKind of(QueueEvent.NumberGiven event) {
      return NUMBER_GIVEN;
    }

    @Override
    public EventKind of(QueueEvent.Widened event) {
      return WIDENED;
    }

    @Override
    public EventKind of(MemberEvent.Rested event) {
      return RESTED;
    }

    @Override
    public EventKind of(MemberEvent.TookPart event) {
      return TOOK_PART;
    }

    @Override
    public EventKind of(MemberEvent.FinishingBegan event) {
      return FINISHING_BEGAN;
    }

    @Override
    public EventKind of(MemberEvent.FinishingEnded event) {
      return FINISHING_ENDED;
    }
  }
}
