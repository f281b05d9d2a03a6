package oficina.core.exchange;

import java.util.List;
import oficina.core.call.CallId;
import org.jspecify.annotations.Nullable;

/**
 * What can be done with a call now, for one of those who have to do with it. Whatever is offered
 * without a further choice is accepted at that moment.
 *
 * @param services in the order in which they are wanted most
 * @param announces the held call it announces, as long as both are in hand
 * @param asideOf the conference its other party was taken aside from, as long as both are in hand
 * @param partner the active call with which this held one can be connected or joined
 */
public record Offers(
    List<Service> services,
    @Nullable CallId announces,
    @Nullable CallId asideOf,
    @Nullable CallId partner) {
  public Offers {
    services = List.copyOf(services);
  }

  /** The other call in hand that services for two concern; null when there is none. */
  public @Nullable CallId with() {
    CallId waits = announces != null ? announces : asideOf;
    return waits != null ? waits : partner;
  }

  /** Services of the exchange. Those that need a further choice say so. */
  public enum Service {
    ANSWER,
    DECLINE,
    SILENCE,
    /** Wants a target. */
    DEFLECT,
    HOLD,
    RETRIEVE,
    MUTE,
    UNMUTE,
    /** Wants a target, and whether to put through or announce. */
    TRANSFER,
    /** Wants keys. */
    DIGITS,
    HAND_OVER,
    /** Speak with the other of two in hand: the call that waits for this one. */
    SWAP,
    JOIN,
    RECONNECT,
    PULL_BACK,
    /** Have one's part in the call recorded. */
    RECORD,
    STOP_RECORDING,
    /** Wants a slot. */
    PARK,
    /** Wants somebody to add. */
    ADD,
    MOVE_HERE,
    CALL_BACK,
    /** Have a mailbox take a message: mine, or of whom was called. */
    TO_MAILBOX,
    END_FOR_ALL,
    CLEAR
  }
}
