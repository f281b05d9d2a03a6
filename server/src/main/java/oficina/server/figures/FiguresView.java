package oficina.server.figures;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDate;
import java.util.List;
import oficina.core.figures.HalfHour;
import org.jspecify.annotations.Nullable;

/**
 * What a line that keeps callers has done on some days.
 *
 * @param within seconds within which calls ought to be answered
 * @param percent how many of a hundred
 * @param before the half hours of the same weekday a week before; empty for several days
 */
public record FiguresView(
    LocalDate first,
    LocalDate last,
    long within,
    int percent,
    Totals totals,
    List<HalfHour> halfHours,
    List<HalfHour> before,
    List<MemberFigures> members) {

  /**
   * All of it; times in seconds.
   *
   * @param offered how many came to wait, however short
   * @param inTime how many were answered within the target
   * @param longest the longest wait of all
   * @param occupancy how many of a hundred minutes that members were there they spoke with callers
   *     or wrote it down; absent when nobody was there
   * @param patience how long those had waited who gave up, on average
   */
  public record Totals(
      long offered,
      long answered,
      long inTime,
      long givenUp,
      long sentOn,
      long messages,
      long calledBack,
      long failed,
      long meanWait,
      long longest,
      long patience,
      long talk,
      long finishing,
      @Schema(nullable = true) @Nullable Integer occupancy) {}

  /**
   * What one member has done; times in seconds.
   *
   * @param present how long they were there for the line: free for its calls, or at work on one
   * @param occupancy as that of all
   */
  public record MemberFigures(
      long person,
      String name,
      long taken,
      long talked,
      long finishing,
      long present,
      @Schema(nullable = true) @Nullable Integer occupancy) {}
}
