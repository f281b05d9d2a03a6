package oficina.server.standins;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.numbers.PhoneNumber;

/** A call as a subscriber of the simulated network has it. */
final class OutsideCall {
  /** What goes on in it, seen from the subscriber. */
  enum State {
    /** It rings here. */
    RINGING,
    /** It rings at the office. */
    CALLING,
    TALKING,
    /** The office cannot take it; the subscriber hears why. */
    REFUSED
  }

  CallId call;
  int leg;
  final PhoneNumber subscriber;

  /** The number at the other end; null when withheld. */
  final PhoneNumber other;

  final boolean incoming;
  State state;
  Instant since;
  String reason = "";
  String digits = "";

  OutsideCall(
      CallId call,
      int leg,
      PhoneNumber subscriber,
      PhoneNumber other,
      boolean incoming,
      Instant at) {
    this.call = call;
    this.leg = leg;
    this.subscriber = subscriber;
    this.other = other;
    this.incoming = incoming;
    this.state = incoming ? State.RINGING : State.CALLING;
    this.since = at;
  }

  void become(State next, Instant at) {
    state = next;
    since = at;
  }
}
