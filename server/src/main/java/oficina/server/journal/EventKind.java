package oficina.server.journal;

import java.util.Arrays;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import oficina.core.state.ExchangeEvent;

/**
 * The kinds of events as the journal knows them: a name for good, whatever its class is called, and
 * the version in which it is written today. Whoever changes what a record holds raises its version
 * and writes an {@link Upcaster} from the one before.
 */
enum EventKind {
  ORIGINATED("Originated", 4, ExchangeEvent.Originated.class),
  NETWORK_REACHED("NetworkReached", 2, ExchangeEvent.NetworkReached.class),
  DELIVERED("Delivered", 1, ExchangeEvent.Delivered.class),
  ASKED("Asked", 1, ExchangeEvent.Asked.class),
  SILENCED("Silenced", 1, ExchangeEvent.Silenced.class),
  ESTABLISHED("Established", 1, ExchangeEvent.Established.class),
  HELD("Held", 1, ExchangeEvent.Held.class),
  RETRIEVED("Retrieved", 1, ExchangeEvent.Retrieved.class),
  HOLD_REMINDED("HoldReminded", 1, ExchangeEvent.HoldReminded.class),
  MUTED("Muted", 1, ExchangeEvent.Muted.class),
  UNATTENDED("Unattended", 1, ExchangeEvent.Unattended.class),
  MOVED("Moved", 1, ExchangeEvent.Moved.class),
  PARKED("Parked", 2, ExchangeEvent.Parked.class),
  SENT_ON("SentOn", 2, ExchangeEvent.SentOn.class),
  MERGED("Merged", 1, ExchangeEvent.Merged.class),
  DIGITS_SENT("DigitsSent", 1, ExchangeEvent.DigitsSent.class),
  FAILED("Failed", 1, ExchangeEvent.Failed.class),
  MAILBOX_ANSWERED("MailboxAnswered", 2, ExchangeEvent.MailboxAnswered.class),
  WELCOMED("Welcomed", 1, ExchangeEvent.Welcomed.class),
  RECORDING_BEGAN("RecordingBegan", 1, ExchangeEvent.RecordingBegan.class),
  MESSAGE_HEARD("MessageHeard", 1, ExchangeEvent.MessageHeard.class),
  RECORDING_ENDED("RecordingEnded", 1, ExchangeEvent.RecordingEnded.class),
  TAPE_STARTED("TapeStarted", 1, ExchangeEvent.TapeStarted.class),
  TAPE_ANNOUNCED("TapeAnnounced", 1, ExchangeEvent.TapeAnnounced.class),
  TAPE_REFUSED("TapeRefused", 1, ExchangeEvent.TapeRefused.class),
  TAPE_STOPPED("TapeStopped", 1, ExchangeEvent.TapeStopped.class),
  CALL_BACK_REQUESTED("CallBackRequested", 1, ExchangeEvent.CallBackRequested.class),
  CALL_BACK_ARMED("CallBackArmed", 1, ExchangeEvent.CallBackArmed.class),
  CALL_BACK_RINGS("CallBackRings", 1, ExchangeEvent.CallBackRings.class),
  CALL_BACK_ANSWERED("CallBackAnswered", 1, ExchangeEvent.CallBackAnswered.class),
  CALL_BACK_CLEARED("CallBackCleared", 1, ExchangeEvent.CallBackCleared.class),
  CONNECTION_CLEARED("ConnectionCleared", 1, ExchangeEvent.ConnectionCleared.class),
  CALL_CLEARED("CallCleared", 1, ExchangeEvent.CallCleared.class),
  DEVICE_CAME("DeviceCame", 1, ExchangeEvent.DeviceCame.class),
  DEVICE_WENT("DeviceWent", 1, ExchangeEvent.DeviceWent.class),
  PHONE_CALLED("PhoneCalled", 1, ExchangeEvent.PhoneCalled.class),
  PHONE_PROGRESSED("PhoneProgressed", 1, ExchangeEvent.PhoneProgressed.class),
  PHONE_RELEASED("PhoneReleased", 1, ExchangeEvent.PhoneReleased.class),
  ROUTED("Routed", 1, ExchangeEvent.Routed.class),
  BLOCKED("Blocked", 1, ExchangeEvent.Blocked.class),
  STATUS_SET("StatusSet", 1, ExchangeEvent.StatusSet.class),
  STATUS_OVER("StatusOver", 1, ExchangeEvent.StatusOver.class);

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
    public EventKind of(ExchangeEvent.Originated event) {
      return ORIGINATED;
    }

    @Override
    public EventKind of(ExchangeEvent.NetworkReached event) {
      return NETWORK_REACHED;
    }

    @Override
    public EventKind of(ExchangeEvent.Delivered event) {
      return DELIVERED;
    }

    @Override
    public EventKind of(ExchangeEvent.Asked event) {
      return ASKED;
    }

    @Override
    public EventKind of(ExchangeEvent.Silenced event) {
      return SILENCED;
    }

    @Override
    public EventKind of(ExchangeEvent.Established event) {
      return ESTABLISHED;
    }

    @Override
    public EventKind of(ExchangeEvent.Held event) {
      return HELD;
    }

    @Override
    public EventKind of(ExchangeEvent.Retrieved event) {
      return RETRIEVED;
    }

    @Override
    public EventKind of(ExchangeEvent.HoldReminded event) {
      return HOLD_REMINDED;
    }

    @Override
    public EventKind of(ExchangeEvent.Muted event) {
      return MUTED;
    }

    @Override
    public EventKind of(ExchangeEvent.Unattended event) {
      return UNATTENDED;
    }

    @Override
    public EventKind of(ExchangeEvent.Moved event) {
      return MOVED;
    }

    @Override
    public EventKind of(ExchangeEvent.Parked event) {
      return PARKED;
    }

    @Override
    public EventKind of(ExchangeEvent.SentOn event) {
      return SENT_ON;
    }

    @Override
    public EventKind of(ExchangeEvent.Merged event) {
      return MERGED;
    }

    @Override
    public EventKind of(ExchangeEvent.DigitsSent event) {
      return DIGITS_SENT;
    }

    @Override
    public EventKind of(ExchangeEvent.Failed event) {
      return FAILED;
    }

    @Override
    public EventKind of(ExchangeEvent.MailboxAnswered event) {
      return MAILBOX_ANSWERED;
    }

    @Override
    public EventKind of(ExchangeEvent.Welcomed event) {
      return WELCOMED;
    }

    @Override
    public EventKind of(ExchangeEvent.RecordingBegan event) {
      return RECORDING_BEGAN;
    }

    @Override
    public EventKind of(ExchangeEvent.MessageHeard event) {
      return MESSAGE_HEARD;
    }

    @Override
    public EventKind of(ExchangeEvent.RecordingEnded event) {
      return RECORDING_ENDED;
    }

    @Override
    public EventKind of(ExchangeEvent.TapeStarted event) {
      return TAPE_STARTED;
    }

    @Override
    public EventKind of(ExchangeEvent.TapeAnnounced event) {
      return TAPE_ANNOUNCED;
    }

    @Override
    public EventKind of(ExchangeEvent.TapeRefused event) {
      return TAPE_REFUSED;
    }

    @Override
    public EventKind of(ExchangeEvent.TapeStopped event) {
      return TAPE_STOPPED;
    }

    @Override
    public EventKind of(ExchangeEvent.CallBackRequested event) {
      return CALL_BACK_REQUESTED;
    }

    @Override
    public EventKind of(ExchangeEvent.CallBackArmed event) {
      return CALL_BACK_ARMED;
    }

    @Override
    public EventKind of(ExchangeEvent.CallBackRings event) {
      return CALL_BACK_RINGS;
    }

    @Override
    public EventKind of(ExchangeEvent.CallBackAnswered event) {
      return CALL_BACK_ANSWERED;
    }

    @Override
    public EventKind of(ExchangeEvent.CallBackCleared event) {
      return CALL_BACK_CLEARED;
    }

    @Override
    public EventKind of(ExchangeEvent.ConnectionCleared event) {
      return CONNECTION_CLEARED;
    }

    @Override
    public EventKind of(ExchangeEvent.CallCleared event) {
      return CALL_CLEARED;
    }

    @Override
    public EventKind of(ExchangeEvent.DeviceCame event) {
      return DEVICE_CAME;
    }

    @Override
    public EventKind of(ExchangeEvent.DeviceWent event) {
      return DEVICE_WENT;
    }

    @Override
    public EventKind of(ExchangeEvent.PhoneCalled event) {
      return PHONE_CALLED;
    }

    @Override
    public EventKind of(ExchangeEvent.PhoneProgressed event) {
      return PHONE_PROGRESSED;
    }

    @Override
    public EventKind of(ExchangeEvent.PhoneReleased event) {
      return PHONE_RELEASED;
    }

    @Override
    public EventKind of(ExchangeEvent.Routed event) {
      return ROUTED;
    }

    @Override
    public EventKind of(ExchangeEvent.Blocked event) {
      return BLOCKED;
    }

    @Override
    public EventKind of(ExchangeEvent.StatusSet event) {
      return STATUS_SET;
    }

    @Override
    public EventKind of(ExchangeEvent.StatusOver event) {
      return STATUS_OVER;
    }
  }
}
