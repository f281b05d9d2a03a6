package oficina.server.handset;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * Which of somebody's devices places calls and answers what is answered on the screen, and after
 * how many seconds each begins to ring.
 *
 * @param windowAfter of the windows on this and other computers; absent for never
 * @param phoneAfter of the desk telephone; absent for never
 * @param outside the number of a telephone outside that places calls, in any notation; absent for
 *     none
 */
public record Choice(
    @NotNull Places places,
    @Schema(nullable = true) @Nullable @Min(0) @Max(60) Integer windowAfter,
    @Schema(nullable = true) @Nullable @Min(0) @Max(60) Integer phoneAfter,
    @Schema(nullable = true) @Nullable @Size(max = 60) String outside) {
  static final Choice USUAL = new Choice(Places.WINDOW, 0, 0, null);

  /** A device that places calls. */
  public enum Places {
    WINDOW,
    PHONE,
    /** A telephone outside, which is rung first. */
    OUTSIDE
  }

  Choice showing(@Nullable String outside) {
    return new Choice(places, windowAfter, phoneAfter, outside);
  }
}
