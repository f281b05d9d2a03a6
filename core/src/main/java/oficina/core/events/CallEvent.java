package oficina.core.events;

import oficina.core.call.CallId;

/** An event of a call or of a wish to be called back. */
public sealed interface CallEvent extends ExchangeEvent
    permits ReachEvent, TalkEvent, MachineEvent, QueueEvent, TapeEvent, CallBackEvent {

  /** The call, or the identity of the wish. */
  CallId call();

  @Override
  default CallId inCall() {
    return call();
  }

  @Override
  default String subject() {
    return call().value();
  }
}
