package oficina.server.standins;

import java.time.Instant;
import oficina.core.numbers.PhoneNumber;
import oficina.server.trunk.TrunkCall;
import org.jspecify.annotations.Nullable;

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

  final TrunkCall call;

  /** Null when the office knows the caller by no number. */
  final @Nullable PhoneNumber subscriber;

  /** The number at the other end; null when withheld. */
  final @Nullable PhoneNumber other;

  final boolean incoming;
  State state;
  Instant since;
  String reason = "";
  String digits = "";

  OutsideCall(
      TrunkCall call,
      @Nullable PhoneNumber subscriber,
      @Nullable PhoneNumber other,
      boolean incoming,
      Instant at) {
    this.call = call;
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

  /** Whether keys pressed here are heard: also by whatever plays music to a caller who waits. */
  boolean takesKeys() {
    return state == State.TALKING || (!incoming && state == State.CALLING);
  }
}
