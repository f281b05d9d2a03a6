package oficina.core.office;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import oficina.core.blocking.BlockList;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import oficina.core.rules.Moment;
import oficina.core.rules.Opening;
import oficina.core.rules.Rule;
import org.jspecify.annotations.Nullable;

/**
 * What the office, its people and its lines have decided about where calls go.
 *
 * @param rules of people and lines; absent for those who have decided nothing
 * @param opening when the office is open
 * @param book to which companies numbers belong
 * @param queues lines that keep callers until somebody is free
 * @param showsCaller whether an outside number to which a call is forwarded is shown the number of
 *     whoever called, instead of one of the office
 */
public record Directions(
    Map<Party, CallRules> rules,
    BlockList blocks,
    Opening opening,
    CallerBook book,
    Map<GroupId, Queue> queues,
    boolean showsCaller) {
  public Directions {
    rules = Map.copyOf(rules);
    queues = Map.copyOf(queues);
  }

  /** Knows to whom numbers belong. */
  @FunctionalInterface
  public interface CallerBook {
    /**
     * The companies of the contacts with this number, in lower case.
     *
     * @param viewer whose own contacts count beside those of the office; null for nobody's
     */
    Set<String> companies(PhoneNumber number, @Nullable PersonId viewer);

    /** The tags of the office's contacts with this number, in lower case. */
    default Set<String> tags(PhoneNumber number) {
      return Set.of();
    }
  }

  /** Nothing has been decided. */
  public static Directions none(ZoneId zone) {
    return new Directions(
        Map.of(),
        BlockList.EMPTY,
        Opening.always(zone),
        (number, viewer) -> Set.of(),
        Map.of(),
        false);
  }

  /** This moment by the clocks and the calendar of the office. */
  public Moment at(Instant moment) {
    return new Moment(moment, opening);
  }

  /** What this person or line has decided. */
  public CallRules rulesOf(Party owner) {
    return rules.getOrDefault(owner, CallRules.NONE);
  }

  /** Where every call for this person goes at this moment, whoever calls; null when none does. */
  public @Nullable Party forwardOf(PersonId person, Instant moment) {
    Rule rule = rulesOf(new Party.Employee(person)).forward();
    return rule == null || !rule.holds(at(moment)) ? null : rule.to().party();
  }

  /** When the next rule ends by itself; null when none does. */
  public @Nullable Instant nextEnd(Instant after) {
    return rules.values().stream()
        .flatMap(all -> all.rules().stream())
        .map(Rule::until)
        .filter(until -> until != null && until.isAfter(after))
        .min(Comparator.naturalOrder())
        .orElse(null);
  }

  /** The same with other rules of one person or line. */
  public Directions with(Party owner, CallRules changed) {
    Map<Party, CallRules> all = new HashMap<>(rules);
    all.put(owner, changed);
    return new Directions(all, blocks, opening, book, queues, showsCaller);
  }

  /** What this line has decided that keeps callers; null when it keeps none. */
  public @Nullable Queue queue(GroupId line) {
    return queues.get(line);
  }

  /** The same with a line that keeps callers so. */
  public Directions with(GroupId line, Queue queue) {
    Map<GroupId, Queue> all = new HashMap<>(queues);
    all.put(line, queue);
    return new Directions(rules, blocks, opening, book, all, showsCaller);
  }
}
