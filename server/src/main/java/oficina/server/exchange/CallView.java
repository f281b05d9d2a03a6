package oficina.server.exchange;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.history.Part.Direction;
import oficina.server.history.SegmentView;
import oficina.server.people.PartyView;

/**
 * A call in hand as its owner sees it.
 *
 * @param line the group whose number it came in on; null on the person's own line
 * @param since when the present state began
 * @param heldBefore milliseconds on hold altogether, without a hold that lasts
 * @param failure why it cannot be completed
 * @param device the device it was placed or answered on; null while it rings
 * @param digits keys sent so far
 * @param actions what can be done with it now
 */
public record CallView(
    String id,
    Direction direction,
    PartyView other,
    @Schema(nullable = true) String line,
    Phase phase,
    Instant began,
    Instant since,
    long heldBefore,
    @Schema(nullable = true) Cause failure,
    boolean silenced,
    @Schema(nullable = true) String device,
    String digits,
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
    FAILED
  }

  /** Services of the exchange that are possible. */
  public enum Action {
    ANSWER,
    DECLINE,
    SILENCE,
    HOLD,
    RETRIEVE,
    DIGITS,
    CLEAR
  }
}
