package oficina.server.exchange;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import oficina.server.people.PartyView;

/**
 * A park slot as everybody in the office sees it.
 *
 * @param label what the office calls it; empty when it has no name
 * @param waiting the call in it; absent when it is free
 */
public record SlotView(String slot, String label, @Schema(nullable = true) Waiting waiting) {

  /**
   * A call that waits.
   *
   * @param forWhom whom it waits for; absent for anybody
   * @param forId identity of that person
   * @param by who parked it
   * @param note what the parker wants to be known; empty when nothing
   * @param back when it comes back to its parker; past while it rings there
   */
  public record Waiting(
      String call,
      PartyView who,
      @Schema(nullable = true) String forWhom,
      @Schema(nullable = true) Long forId,
      String by,
      String note,
      Instant since,
      Instant back) {}
}
