package oficina.server.rules;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.LocalDateTime;
import java.util.List;
import oficina.core.rules.Callers;
import oficina.core.rules.Situation;
import oficina.server.people.PartyView;
import oficina.server.rules.RulesBody.Hours;
import oficina.server.rules.RulesBody.TargetKind;
import org.jspecify.annotations.Nullable;

/**
 * What somebody, or a line, has decided about calls.
 *
 * @param owner whose rules they are
 * @param mayChange whether the reader may change them
 * @param mailbox whether messages can be left there
 * @param ringSeconds how long it rings when it rings the owner alone
 * @param takesNow whether calls are taken at this moment, by the hours
 * @param keeps for how many seconds a line keeps callers whom nobody can take; absent when it does
 *     not, or is nobody's line
 * @param version changes with every change of them
 */
record RulesView(
    PartyView owner,
    boolean mayChange,
    boolean mailbox,
    int ringSeconds,
    boolean takesNow,
    List<RuleView> rules,
    List<RingView> rings,
    @Schema(nullable = true) @Nullable Hours hours,
    List<PartyView> delegates,
    boolean welcome,
    @Schema(nullable = true) @Nullable Integer keeps,
    int version) {

  /**
   * A rule.
   *
   * @param holds whether it holds at this moment
   */
  record RuleView(
      long id,
      Situation when,
      CallersView callers,
      @Schema(nullable = true) @Nullable Hours times,
      @Schema(nullable = true) @Nullable LocalDateTime until,
      TargetView to,
      boolean holds) {}

  /** Whose calls. */
  record CallersView(
      Callers.Kind kind, List<PartyView> people, List<PartyView> numbers, List<String> companies) {}

  /**
   * Where a call goes.
   *
   * @param party to whom; absent unless it goes to somebody
   */
  record TargetView(
      TargetKind kind, String dial, @Schema(nullable = true) @Nullable PartyView party) {}

  /** These are rung together for so many seconds. */
  record RingView(List<PartyView> who, int seconds) {}
}
