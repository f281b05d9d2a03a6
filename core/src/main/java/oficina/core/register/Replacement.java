package oficina.core.register;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import oficina.core.call.Party;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.people.GroupId;
import oficina.core.routing.RuleCheck;
import oficina.core.rules.CallRules;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;

/**
 * A line that is to go, and another one that takes its place wherever people and lines count on it.
 */
public record Replacement(GroupId gone, GroupId instead) {

  /** What people and lines have decided then, of those for whom it is different. */
  public Map<Party, CallRules> rules(Office office) {
    Map<Party, CallRules> changed = new HashMap<>();
    office
        .directions()
        .rules()
        .forEach(
            (owner, rules) -> {
              CallRules then = rules(rules);
              if (!then.equals(rules)) {
                changed.put(owner, then);
              }
            });
    changed.remove(new Party.Members(gone));
    return changed;
  }

  private CallRules rules(CallRules rules) {
    return new CallRules(
        rules.rules().stream().map(this::rule).toList(),
        rules.rings().stream().map(this::ring).toList(),
        rules.hours(),
        rules.delegates(),
        rules.welcome());
  }

  private Rule rule(Rule rule) {
    Party to = rule.to().party();
    Party then = to == null ? null : party(to);
    return then == null || then.equals(to)
        ? rule
        : new Rule(
            rule.id(),
            rule.when(),
            rule.callers(),
            rule.times(),
            rule.until(),
            Destination.to(then));
  }

  /** Whoever would ring twice rings once. */
  private CallRules.Ring ring(CallRules.Ring ring) {
    return new CallRules.Ring(
        ring.who().stream().map(this::party).distinct().toList(), ring.time());
  }

  private Party party(Party before) {
    Party line = new Party.Members(gone);
    if (before.equals(line)) {
      return new Party.Members(instead);
    }
    return line.equals(before.mailboxOf()) ? new Party.Mailbox(new Party.Members(instead)) : before;
  }

  /**
   * For whom the other line does not fit, because a call would come back to where it was or reach
   * nobody there.
   */
  public List<Party> misfits(Office office) {
    Directions then = office.directions();
    Map<Party, CallRules> changed = rules(office);
    for (Map.Entry<Party, CallRules> each : changed.entrySet()) {
      then = then.with(each.getKey(), each.getValue());
    }
    RuleCheck before = new RuleCheck(office);
    RuleCheck after =
        new RuleCheck(office.with(then.with(new Party.Members(gone), CallRules.NONE)));
    return Stream.concat(changed.keySet().stream(), Stream.of(new Party.Members(instead)))
        .distinct()
        .filter(owner -> after.faults(owner).size() > before.faults(owner).size())
        .toList();
  }
}
