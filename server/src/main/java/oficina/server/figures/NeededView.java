package oficina.server.figures;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How many people a line needs at one time of the week, by what was there at such times.
 *
 * @param weekday 1 is Monday
 * @param slot which half hour of the day: 0 begins at midnight
 * @param weeks how many weeks that was
 * @param calls how many calls came in such a half hour, on average
 * @param handling how long each took, with finishing, in seconds
 * @param needed how many are needed when nobody gives up
 * @param impatient the same with the patience that was seen; absent when nobody gave up
 * @param lines outside lines for one call in a hundred lost
 * @param with what would be with one fewer, so many, and one more
 * @param times the half hours of the week at which calls came
 */
public record NeededView(
    int weekday,
    int slot,
    int weeks,
    double calls,
    long handling,
    int needed,
    @Schema(nullable = true) @Nullable Integer impatient,
    int lines,
    List<With> with,
    List<Time> times) {

  /** A half hour of the week. */
  public record Time(int weekday, int slot, double calls) {}

  /**
   * What would be with so many people.
   *
   * @param percent how many of a hundred calls would be answered within the target
   * @param meanWait the mean wait in seconds; absent when they could not keep up
   */
  public record With(int people, long percent, @Schema(nullable = true) @Nullable Long meanWait) {}
}
