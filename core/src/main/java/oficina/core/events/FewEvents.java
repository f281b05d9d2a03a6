package oficina.core.events;

/**
 * For whoever does something at a few kinds of events only: all others lead to one answer, which
 * has to be given.
 */
public interface FewEvents<R> extends ExchangeEvent.Cases<R> {

  /** The answer to every event for which there is no other. */
  R otherwise(ExchangeEvent event);

  @Override
  default R of(ReachEvent.Originated event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.NetworkReached event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.Delivered event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.Silenced event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Established event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Held event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Retrieved event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.HoldReminded event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Muted event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Unattended event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Moved event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Parked event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.SentOn event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.Merged event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.DigitsSent event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.Failed event) {
    return otherwise(event);
  }

  @Override
  default R of(MachineEvent.RecordingEnded event) {
    return otherwise(event);
  }

  @Override
  default R of(MachineEvent.MessageHeard event) {
    return otherwise(event);
  }

  @Override
  default R of(MachineEvent.RecordingBegan event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.Asked event) {
    return otherwise(event);
  }

  @Override
  default R of(MachineEvent.Welcomed event) {
    return otherwise(event);
  }

  @Override
  default R of(MachineEvent.MailboxAnswered event) {
    return otherwise(event);
  }

  @Override
  default R of(TapeEvent.TapeStarted event) {
    return otherwise(event);
  }

  @Override
  default R of(TapeEvent.TapeAnnounced event) {
    return otherwise(event);
  }

  @Override
  default R of(TapeEvent.TapeRefused event) {
    return otherwise(event);
  }

  @Override
  default R of(TapeEvent.TapeStopped event) {
    return otherwise(event);
  }

  @Override
  default R of(CallBackEvent.CallBackRequested event) {
    return otherwise(event);
  }

  @Override
  default R of(CallBackEvent.CallBackArmed event) {
    return otherwise(event);
  }

  @Override
  default R of(CallBackEvent.CallBackRings event) {
    return otherwise(event);
  }

  @Override
  default R of(CallBackEvent.CallBackAnswered event) {
    return otherwise(event);
  }

  @Override
  default R of(CallBackEvent.CallBackCleared event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.ConnectionCleared event) {
    return otherwise(event);
  }

  @Override
  default R of(TalkEvent.CallCleared event) {
    return otherwise(event);
  }

  @Override
  default R of(DeviceEvent.DeviceCame event) {
    return otherwise(event);
  }

  @Override
  default R of(DeviceEvent.DeviceWent event) {
    return otherwise(event);
  }

  @Override
  default R of(PhoneEvent.PhoneCalled event) {
    return otherwise(event);
  }

  @Override
  default R of(PhoneEvent.PhoneProgressed event) {
    return otherwise(event);
  }

  @Override
  default R of(PhoneEvent.PhoneReleased event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.Routed event) {
    return otherwise(event);
  }

  @Override
  default R of(ReachEvent.Blocked event) {
    return otherwise(event);
  }

  @Override
  default R of(StatusEvent.StatusSet event) {
    return otherwise(event);
  }

  @Override
  default R of(StatusEvent.StatusOver event) {
    return otherwise(event);
  }

  @Override
  default R of(QueueEvent.Queued event) {
    return otherwise(event);
  }

  @Override
  default R of(QueueEvent.NumberGiven event) {
    return otherwise(event);
  }

  @Override
  default R of(QueueEvent.Widened event) {
    return otherwise(event);
  }

  @Override
  default R of(MemberEvent.Rested event) {
    return otherwise(event);
  }

  @Override
  default R of(MemberEvent.TookPart event) {
    return otherwise(event);
  }

  @Override
  default R of(MemberEvent.FinishingBegan event) {
    return otherwise(event);
  }

  @Override
  default R of(MemberEvent.FinishingEnded event) {
    return otherwise(event);
  }

  @Override
  default R of(QueueEvent.PlaceKept event) {
    return otherwise(event);
  }
}
