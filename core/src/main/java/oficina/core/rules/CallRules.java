package oficina.core.rules;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;

/**
 * What somebody, or a line, has decided about calls. Of the rules for a situation the first that
 * fits counts.
 *
 * @param rings whom a call rings one after the other; empty for the owner alone
 * @param hours when calls are taken; null for always
 * @param delegates colleagues who answer and place calls for the owner; a line has none
 * @param welcome whether callers from outside are welcomed before it rings, and can dial an
 *     extension; of a line only
 */
public record CallRules(
    List<Rule> rules,
    List<Ring> rings,
    @Nullable Timetable hours,
    List<PersonId> delegates,
    boolean welcome) {
  /** Nothing has been decided. */
  public static final CallRules NONE = new CallRules(List.of(), List.of(), null);

  public CallRules {
    rules = List.copyOf(rules);
    rings = List.copyOf(rings);
    delegates =
        delegates == null ? List.of() : List.copyOf(delegates); // kept before there were any
  }

  /** Of an owner without delegates, or a line that rings at once. */
  public CallRules(List<Rule> rules, List<Ring> rings, @Nullable Timetable hours) {
    this(rules, rings, hours, List.of(), false);
  }

  /**
   * These are rung together, for so long.
   *
   * @param who colleagues, lines and outside numbers, the owner among them or not
   */
  public record Ring(List<Party> who, Duration time) {
    public Ring {
      who = List.copyOf(who);
    }
  }

  /** Whether calls are taken at this moment, by the hours. */
  public boolean open(Moment now) {
    return hours == null || now.in(hours);
  }

  /** The rule by which everybody's calls always go elsewhere; null when none does. */
  public @Nullable Rule forward() {
    return rules.stream()
        .filter(rule -> rule.when() == Situation.ALWAYS && rule.to().party() != null)
        .filter(rule -> rule.callers().equals(Callers.ANYBODY) && rule.times() == null)
        .findFirst()
        .orElse(null);
  }

  /**
   * The same with every call going there, always.
   *
   * @param to null for nowhere but where the other rules have it go
   * @param id of the rule that says so
   */
  public CallRules forwarding(@Nullable Party to, long id) {
    List<Rule> all = new ArrayList<>(rules);
    all.remove(forward());
    if (to != null) {
      Destination there = Destination.to(to);
      // Behind the others: whoever is let through by one of them still is.
      all.add(new Rule(id, Situation.ALWAYS, Callers.ANYBODY, null, null, there));
    }
    return new CallRules(all, rings, hours, delegates, welcome);
  }

  /** Whether a rule for this situation means callers by their company. */
  public boolean askForCompany(Situation when) {
    for (Rule rule : rules) {
      if (rule.when() == when && !rule.callers().companies().isEmpty()) {
        return true;
      }
    }
    return false;
  }

  /** The rule that says where this caller goes in this situation; null when none does. */
  public @Nullable Rule first(Situation when, Caller caller, Moment now) {
    for (Rule rule : rules) {
      if (rule.when() == when && rule.callers().include(caller) && rule.holds(now)) {
        return rule;
      }
    }
    return null;
  }

  /** The same, with these who act for the owner. */
  public CallRules actedFor(List<PersonId> by) {
    return new CallRules(rules, rings, hours, by, welcome);
  }
}
