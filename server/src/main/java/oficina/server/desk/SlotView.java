package oficina.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import oficina.server.people.PartyView;
import org.jspecify.annotations.Nullable;

/**
 * A park slot as everybody in the office sees it.
 *
 * @param label what the office calls it; empty when it has no name
 * @param waiting the call in it; absent when it is free
 */
public record SlotView(
    String slot, String label, @Schema(nullable = true) @Nullable Waiting waiting) {

  /**
   * A call that waits.
   *
   * @param forWhom whom it waits for; absent for anybody
   * @param forId identity of that person
   * @param by who parked it
   * @param note what the parker wants to be known; empty when nothing, or not for the viewer
   * @param unasked whether the viewer takes it without being asked once more
   * @param back when it comes back to its parker; past while it rings there
   */
  public record Waiting(
      String call,
      PartyView who,
      @Schema(nullable = true) @Nullable String forWhom,
      @Schema(nullable = true) @Nullable Long forId,
      String by,
      String note,
      boolean unasked,
      Instant since,
      Instant back) {

    Waiting seen(boolean readsNote, boolean takesUnasked) {
      return new Waiting(
          call, who, forWhom, forId, by, readsNote ? note : "", takesUnasked, since, back);
    }
  }
}
