package oficina.server.exchange;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.exchange.Listening;
import oficina.core.history.Part.Direction;
import oficina.server.history.SegmentView;
import oficina.server.people.PartyView;

/**
 * A call in hand as its owner sees it.
 *
 * @param line the group whose number it came in on; null on the person's own line; of a call sent
 *     on, where it rings now
 * @param sentBy the colleague who sent it here
 * @param returned why it is back, when it was sent on and nobody took it
 * @param since when the present state began
 * @param heldBefore milliseconds on hold altogether, without a hold that lasts
 * @param failure why it cannot be completed
 * @param device the device it was placed or answered on; null while it rings
 * @param muted whether the other party hears nothing of the owner
 * @param reminded whether it has been on hold too long
 * @param digits keys sent so far
 * @param announces the held call that this one is placed to announce, or was taken aside from
 * @param aside whether it was taken aside from a conference
 * @param partner the active call with which this held one can be joined
 * @param otherHears what the party at the other end hears
 * @param conference who else is in it; absent in a call of two
 * @param slot where the owner has been parked; absent otherwise
 * @param callBack whether the exchange rings because a colleague waited for is free
 * @param actions what can be done with it now
 */
public record CallView(
    String id,
    Direction direction,
    PartyView other,
    @Schema(nullable = true) String line,
    @Schema(nullable = true) String sentBy,
    @Schema(nullable = true) Returned returned,
    Phase phase,
    Instant began,
    Instant since,
    long heldBefore,
    @Schema(nullable = true) Cause failure,
    boolean silenced,
    boolean muted,
    boolean reminded,
    @Schema(nullable = true) String device,
    String digits,
    @Schema(nullable = true) String announces,
    boolean aside,
    @Schema(nullable = true) String partner,
    @Schema(nullable = true) ConferenceView conference,
    @Schema(nullable = true) String slot,
    boolean callBack,
    Listening.Sound otherHears,
    List<SegmentView> course,
    List<Action> actions) {

  /** What goes on in it, seen from its owner. */
  public enum Phase {
    /** The network is setting it up. */
    DIALLING,
    /** It rings at the other end. */
    CALLING,
    /** It rings here. */
    RINGING,
    TALKING,
    /** The owner put it on hold. */
    HELD,
    /** The other end put it on hold. */
    WAITING,
    /** It cannot be completed. */
    FAILED,
    /** The owner has sent it on, and nobody has answered yet. */
    SENT
  }

  /**
   * A call that came back.
   *
   * @param from where it had been sent
   * @param mine whether the owner had sent it
   */
  public record Returned(String from, Cause why, boolean mine) {}

  /** Services of the exchange that are possible. */
  public enum Action {
    ANSWER,
    DECLINE,
    SILENCE,
    DEFLECT,
    HOLD,
    RETRIEVE,
    MUTE,
    UNMUTE,
    TRANSFER,
    DIGITS,
    HAND_OVER,
    SWAP,
    JOIN,
    RECONNECT,
    PULL_BACK,
    PARK,
    ADD,
    MOVE_HERE,
    CALL_BACK,
    END_FOR_ALL,
    CLEAR
  }
}
