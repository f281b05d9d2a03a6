package oficina.server.desk;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import oficina.core.call.Cause;
import oficina.core.call.DeviceKind;
import oficina.core.call.PhoneStage;
import oficina.core.exchange.Offers;
import oficina.core.heard.Listening;
import oficina.core.history.Part.Direction;
import oficina.core.queueing.Queue;
import oficina.core.seen.Standpoint.Phase;
import oficina.server.history.SegmentView;
import oficina.server.people.PartyView;
import org.jspecify.annotations.Nullable;

/**
 * A call in hand as its owner sees it. What is grouped here by subject stands side by side in the
 * JSON.
 *
 * @param queued where its caller waits, or has waited before somebody answered; absent when nowhere
 * @param conference who else is in it; absent in a call of two
 * @param earlier how many stretches of the course came before those told here: of a long call only
 *     the last ones are told again and again; the history has them all
 * @param actions what can be done with it now
 */
public record CallView(
    String id,
    Direction direction,
    PartyView other,
    @JsonUnwrapped Arrival arrival,
    @JsonUnwrapped Stand stand,
    @JsonUnwrapped Mine mine,
    @JsonUnwrapped Ties ties,
    @Schema(nullable = true) @Nullable QueuedView queued,
    @Schema(nullable = true) @Nullable ConferenceView conference,
    List<SegmentView> course,
    int earlier,
    List<Offers.Service> actions) {

  /**
   * At which line a caller waits, or has waited.
   *
   * @param line its name
   * @param since since when they have waited, at lines before it included
   * @param waited how long they have, in milliseconds; absent as long as they wait
   * @param priority above none when they are served before others
   * @param why they are; absent when they are not
   * @param kept whether they have hung up, and are called when one answers
   * @param given what they have keyed in when they were asked for a number; absent when nothing
   * @param asked of what that number is
   * @param shows whether the line has more to be seen of the caller
   */
  public record QueuedView(
      long id,
      String line,
      Instant since,
      @Schema(nullable = true) @Nullable Long waited,
      int priority,
      @Schema(nullable = true) Queue.@Nullable Why why,
      boolean kept,
      @Schema(nullable = true) @Nullable String given,
      String asked,
      boolean shows) {}

  /**
   * How it came to its owner.
   *
   * @param line the group whose number it came in on; absent on the person's own line; of a call
   *     sent on, where it rings now
   * @param sentBy the colleague who sent it here
   * @param forwardedFrom for whom it was before their rules sent it here
   * @param answersFor on whose line it rings here, when that is a colleague's
   * @param behalf in whose name it was placed, when that is not the caller's own
   * @param returned why it is back, when it was sent on and nobody took it
   * @param callBack whether the exchange rings because a colleague waited for is free
   * @param announced who waits to be handed over, as long as a colleague announces them
   * @param sentOnBy the colleague who has sent its owner on, until somebody answers there
   * @param theySee the number an outsider who was called is shown, empty when it is withheld;
   *     absent when nobody outside was called
   */
  public record Arrival(
      @Schema(nullable = true) @Nullable String line,
      @Schema(nullable = true) @Nullable String sentBy,
      @Schema(nullable = true) @Nullable String forwardedFrom,
      @Schema(nullable = true) @Nullable String answersFor,
      @Schema(nullable = true) @Nullable String behalf,
      @Schema(nullable = true) @Nullable Returned returned,
      boolean callBack,
      @Schema(nullable = true) @Nullable String announced,
      @Schema(nullable = true) @Nullable String sentOnBy,
      @Schema(nullable = true) @Nullable String theySee) {

    /** Of a call that was sent there. */
    static Arrival sentTo(String line) {
      return new Arrival(line, null, null, null, null, null, false, null, null, null);
    }
  }

  /**
   * How it stands.
   *
   * @param since when the present phase began
   * @param heldBefore milliseconds on hold altogether, without a hold that lasts
   * @param failure why it cannot be completed
   * @param slot where the owner has been parked; absent otherwise
   * @param digits keys sent so far
   * @param otherHears what the party at the other end hears
   * @param left whether the owner waits because the other one speaks with somebody aside
   */
  public record Stand(
      Phase phase,
      Instant began,
      Instant since,
      long heldBefore,
      @Schema(nullable = true) @Nullable Cause failure,
      @Schema(nullable = true) @Nullable String slot,
      String digits,
      Listening.Sound otherHears,
      boolean left) {}

  /**
   * What the owner has made of it.
   *
   * @param device the device it was placed or answered on; absent while it rings
   * @param deviceKind what that device is; absent when it is no longer there
   * @param muted whether the other party hears nothing of the owner
   * @param reminded whether it has been on hold too long
   * @param tape whether it is recorded, for the owner or for somebody else in it
   * @param outside the telephone outside it is on, or that is rung for it; absent for none
   */
  public record Mine(
      @Schema(nullable = true) @Nullable String device,
      @Schema(nullable = true) @Nullable DeviceKind deviceKind,
      boolean silenced,
      boolean muted,
      boolean reminded,
      @Schema(nullable = true) @Nullable TapeView tape,
      @Schema(nullable = true) @Nullable PhoneOutside outside) {}

  /**
   * The owner's telephone outside, on which the call is or soon will be.
   *
   * @param places whether the call is placed once it is there; otherwise it moves there
   */
  public record PhoneOutside(String number, PhoneStage stage, boolean places) {}

  /**
   * That a call is recorded, or was until it was stopped.
   *
   * @param on whether it is now
   * @param by the colleague for whom it is; absent when that is the owner
   * @param since when it was started or stopped
   */
  public record TapeView(boolean on, @Schema(nullable = true) @Nullable String by, Instant since) {}

  /**
   * What it has to do with other calls in hand.
   *
   * @param announces the held call that this one is placed to announce, or was taken aside from
   * @param aside whether it was taken aside from a conference
   * @param partner the active call with which this held one can be joined
   */
  public record Ties(
      @Schema(nullable = true) @Nullable String announces,
      boolean aside,
      @Schema(nullable = true) @Nullable String partner) {}

  /**
   * A call that came back.
   *
   * @param from where it had been sent
   * @param mine whether the owner had sent it
   */
  public record Returned(String from, Cause why, boolean mine) {}
}
