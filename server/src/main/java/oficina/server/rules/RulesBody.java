package oficina.server.rules;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Set;
import oficina.core.rules.Callers.Kind;
import oficina.core.rules.Situation;
import oficina.core.rules.Timetable;
import oficina.core.rules.Timetable.OnHolidays;
import org.jspecify.annotations.Nullable;

/**
 * What somebody, or a line, wants done with calls. Whoever is meant is named as one would dial
 * them.
 *
 * @param rings whom a call rings one after the other; empty for the owner alone
 * @param hours when calls are taken; absent for always
 * @param delegates colleagues who answer and place calls for the owner
 * @param welcome whether callers from outside are welcomed before a line rings
 * @param version of those that were read and changed, which are not replaced when somebody else has
 *     changed them meanwhile; absent to replace whatever there is
 */
record RulesBody(
    @NotNull @Size(max = 40) List<@NotNull @Valid RuleBody> rules,
    @NotNull @Size(max = 6) List<@NotNull @Valid RingBody> rings,
    @Schema(nullable = true) @Nullable @Valid Hours hours,
    @NotNull @Size(max = 20) List<@NotNull Long> delegates,
    boolean welcome,
    @Schema(nullable = true) @Nullable Integer version) {

  /**
   * In a situation, calls of these callers go there.
   *
   * @param id of one there is already; 0 for a new one
   * @param times when it holds; absent for always
   * @param until day and time at the office when it ends by itself; absent for when it is taken
   *     away
   */
  record RuleBody(
      long id,
      @NotNull Situation when,
      @NotNull @Valid CallersBody callers,
      @Schema(nullable = true) @Nullable @Valid Hours times,
      @Schema(nullable = true) @Nullable LocalDateTime until,
      @NotNull @Valid RuleTarget to) {}

  /**
   * Whose calls.
   *
   * @param people colleagues that are meant, when they are chosen
   * @param numbers outside numbers that are meant, in any notation
   * @param companies names of companies whose contacts are meant
   */
  record CallersBody(
      @NotNull Kind kind,
      @NotNull @Size(max = 100) List<@NotNull Long> people,
      @NotNull @Size(max = 100) List<@NotNull @Size(min = 1, max = 40) String> numbers,
      @NotNull @Size(max = 50) List<@NotNull @Size(min = 1, max = 200) String> companies) {}

  /** What kind of destination. */
  enum TargetKind {
    RING,
    REFUSE,
    /** The owner's own mailbox. */
    VOICEMAIL,
    /** Whoever is reached by dialling this. */
    DIAL
  }

  /**
   * Where a call goes.
   *
   * @param dial as one would dial it; empty unless it goes to somebody
   */
  record RuleTarget(@NotNull TargetKind kind, @NotNull @Size(max = 40) String dial) {}

  /**
   * These are rung together.
   *
   * @param who as one would dial them
   * @param seconds for how long
   */
  record RingBody(
      @NotEmpty @Size(max = 8) List<@NotNull @Size(min = 1, max = 40) String> who,
      @Min(5) @Max(120) int seconds) {}

  /**
   * Times of the week, by the office's clocks.
   *
   * @param spans the whole day on every day when there are none
   * @param first from which day on; absent for no beginning
   * @param last until which day, itself included; absent for no end
   */
  record Hours(
      @NotNull @Size(max = 20) List<@NotNull @Valid SpanBody> spans,
      @NotNull OnHolidays holidays,
      @Schema(nullable = true) @Nullable LocalDate first,
      @Schema(nullable = true) @Nullable LocalDate last) {

    static @Nullable Hours of(@Nullable Timetable times) {
      return times == null
          ? null
          : new Hours(
              times.spans().stream()
                  .map(each -> new SpanBody(Set.copyOf(each.days()), each.from(), each.to()))
                  .toList(),
              times.holidays(),
              times.first(),
              times.last());
    }

    static @Nullable Timetable timetable(@Nullable Hours hours) {
      return hours == null
          ? null
          : new Timetable(
              hours.spans().stream()
                  .map(each -> new Timetable.Span(each.days(), each.from(), each.to()))
                  .toList(),
              hours.holidays(),
              hours.first(),
              hours.last());
    }
  }

  /**
   * @param to not included; at or before {@code from} it is of the next day
   */
  record SpanBody(
      @NotEmpty Set<@NotNull DayOfWeek> days, @NotNull LocalTime from, @NotNull LocalTime to) {}
}
