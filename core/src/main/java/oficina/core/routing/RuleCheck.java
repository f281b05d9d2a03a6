package oficina.core.routing;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.rules.CallRules;
import oficina.core.rules.Caller;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import org.jspecify.annotations.Nullable;

/**
 * Looks for what is wrong with rules before they count: circles through the rules of others,
 * destinations that are not there, rules that can never apply.
 *
 * @param office with the rules as they would be
 */
public record RuleCheck(Office office) {

  private static final PersonId NOBODY_NAMED = new PersonId(-1);
  private static final PhoneNumber NUMBER_NOT_NAMED = new PhoneNumber("+999000");

  /**
   * Something wrong with a rule.
   *
   * @param rule null when it is about whom a call rings
   * @param party whom it is about; null when nobody in particular
   */
  public record Fault(Kind kind, @Nullable Long rule, @Nullable Party party) {}

  /** What can be wrong. */
  public enum Kind {
    /** The call would come back to where it was, and so on. */
    CIRCLE,
    /** To oneself, in which case it is where it is already. */
    TO_ONESELF,
    NOT_IN_USE,
    NO_MAILBOX,
    /** Such numbers are not called for others. */
    NOT_FOR_OTHERS,
    /** The office does not want that number called. */
    BARRED,
    /** It rings already when nobody answers or somebody turns it away. */
    RINGS_ALREADY,
    /** A rule above it takes all its calls. */
    NEVER_REACHED,
    /** Nobody would be rung by it. */
    RINGS_NOBODY,
    /** A line rings those who take part in it, and has no order of its own. */
    RINGS_MEMBERS,
    /** Only callers of a line are welcomed. */
    WELCOMES_NOBODY,
    /** Only colleagues act for somebody, and nobody for a line. */
    NO_DELEGATE
  }

  /** Everything that is wrong with the rules of this person or line. */
  public List<Fault> faults(Party owner) {
    CallRules rules = office.directions().rulesOf(owner);
    List<Fault> faults = new ArrayList<>();
    List<Rule> above = new ArrayList<>();
    for (Rule rule : rules.rules()) {
      Kind kind = wrong(owner, rule);
      if (kind == null && above.stream().anyMatch(each -> each.coversAllOf(rule))) {
        kind = Kind.NEVER_REACHED;
      }
      if (kind != null) {
        faults.add(new Fault(kind, rule.id(), rule.to().party()));
      }
      above.add(rule);
    }
    if (owner.group() != null && !rules.rings().isEmpty()) {
      faults.add(new Fault(Kind.RINGS_MEMBERS, null, owner));
    }
    if (owner.group() == null && rules.welcome()) {
      faults.add(new Fault(Kind.WELCOMES_NOBODY, null, owner));
    }
    for (PersonId delegate : rules.delegates()) {
      Party party = new Party.Employee(delegate);
      boolean colleague = office.directory().person(delegate).isPresent() && !party.equals(owner);
      if (owner.employee() == null || !colleague) {
        faults.add(new Fault(Kind.NO_DELEGATE, null, party));
      }
    }
    for (CallRules.Ring ring : rules.rings()) {
      if (ring.who().isEmpty()) {
        faults.add(new Fault(Kind.RINGS_NOBODY, null, null));
      }
      for (Party each : ring.who()) {
        Kind kind = each.equals(owner) ? null : unreachable(owner, each);
        if (kind != null) {
          faults.add(new Fault(kind, null, each));
        }
      }
    }
    return faults;
  }

  private @Nullable Kind wrong(Party owner, Rule rule) {
    Destination to = rule.to();
    boolean afterwards = rule.when() == Situation.NO_ANSWER || rule.when() == Situation.DECLINED;
    if (to.kind() == Destination.Kind.RING) {
      return afterwards ? Kind.RINGS_ALREADY : null;
    }
    if (to.kind() == Destination.Kind.REFUSE) {
      return null;
    }
    if (owner.equals(to.party())) {
      return Kind.TO_ONESELF;
    }
    Kind unreachable = unreachable(owner, to.party());
    if (unreachable != null) {
      return unreachable;
    }
    boolean circle =
        callersNamed().stream()
            .anyMatch(
                caller ->
                    effective(owner, caller).contains(rule)
                        && comesBack(owner, to.party(), caller));
    return circle ? Kind.CIRCLE : null;
  }

  private @Nullable Kind unreachable(Party owner, Party party) {
    if (office.settings().barring().bars(owner.employee(), party.outsideNumber())) {
      return Kind.BARRED;
    }
    if (party.alwaysGoesOut()) {
      return Kind.NOT_FOR_OTHERS;
    }
    if (party.mailboxOf() != null) {
      return office.hasMailbox(party.mailboxOf()) ? null : Kind.NO_MAILBOX;
    }
    boolean there =
        party.employee() != null
            ? office.directory().person(party.employee()).isPresent()
            : party.group() != null
                ? office.directory().group(party.group()).isPresent()
                : party.outsideNumber() != null;
    return there ? null : Kind.NOT_IN_USE;
  }

  /** One of each sort of caller that rules tell apart. */
  private List<Caller> callersNamed() {
    List<Caller> callers = new ArrayList<>();
    callers.add(new Caller(new Party.Employee(NOBODY_NAMED), Set.of()));
    callers.add(new Caller(new Party.Outside(NUMBER_NOT_NAMED), Set.of()));
    callers.add(new Caller(new Party.Outside(null), Set.of()));
    for (CallRules rules : office.directions().rules().values()) {
      for (Rule rule : rules.rules()) {
        Callers named = rule.callers();
        named.people().forEach(each -> callers.add(new Caller(new Party.Employee(each), Set.of())));
        named.numbers().forEach(each -> callers.add(new Caller(new Party.Outside(each), Set.of())));
        named
            .companies()
            .forEach(
                each -> callers.add(new Caller(new Party.Outside(NUMBER_NOT_NAMED), Set.of(each))));
      }
    }
    return callers;
  }

  /** Whether a call that goes there can come back here by rules alone, whatever the situations. */
  private boolean comesBack(Party owner, Party to, Caller caller) {
    Set<Party> seen = new HashSet<>();
    Set<Party> next = new LinkedHashSet<>(Set.of(to));
    while (!next.isEmpty()) {
      Party party = next.iterator().next();
      next.remove(party);
      if (party.equals(owner)) {
        return true;
      }
      if (seen.add(party)) {
        effective(party, caller).stream()
            .map(rule -> rule.to().party())
            .filter(Objects::nonNull)
            .forEach(next::add);
      }
    }
    return false;
  }

  /** The rules of this person or line that can apply to such a caller, in whatever situation. */
  private Set<Rule> effective(Party party, Caller caller) {
    Set<Rule> effective = new LinkedHashSet<>();
    Set<Situation> decided = EnumSet.noneOf(Situation.class);
    for (Situation situation : Situation.values()) {
      for (Rule rule : office.directions().rulesOf(party).rules()) {
        if (rule.when() != situation
            || decided.contains(situation)
            || !rule.callers().include(caller)) {
          continue;
        }
        effective.add(rule);
        if (rule.times() == null && rule.until() == null) {
          decided.add(situation); // those below it are never looked at
          if (situation == Situation.ALWAYS && rule.to().kind() != Destination.Kind.RING) {
            return effective;
          }
        }
      }
    }
    return effective;
  }
}
