package oficina.core.state;

/**
 * For whoever does something at a few kinds of events only: all others lead to one answer, which
 * has to be given.
 */
public interface FewEvents<R> extends ExchangeEvent.Cases<R> {

  /** The answer to every event for which there is no other. */
  R otherwise(ExchangeEvent event);

  @Override
  default R of(ExchangeEvent.Originated event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.NetworkReached event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Delivered event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Silenced event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Established event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Held event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Retrieved event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.HoldReminded event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Muted event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Unattended event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Moved event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Parked event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.SentOn event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Merged event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.DigitsSent event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Failed event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.RecordingEnded event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.MessageHeard event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.RecordingBegan event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Asked event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Welcomed event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.MailboxAnswered event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.TapeStarted event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.TapeAnnounced event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.TapeRefused event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.TapeStopped event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.CallBackRequested event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.CallBackArmed event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.CallBackRings event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.CallBackAnswered event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.CallBackCleared event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.ConnectionCleared event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.CallCleared event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.DeviceCame event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.DeviceWent event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.PhoneCalled event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.PhoneProgressed event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.PhoneReleased event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Routed event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.Blocked event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.StatusSet event) {
    return otherwise(event);
  }

  @Override
  default R of(ExchangeEvent.StatusOver event) {
    return otherwise(event);
  }
}
