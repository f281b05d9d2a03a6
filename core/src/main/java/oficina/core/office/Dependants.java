package oficina.core.office;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import oficina.core.call.Party;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import org.jspecify.annotations.Nullable;

/**
 * Who counts on somebody, or on a line: what would be different for others if they were not there
 * any more.
 */
public record Dependants(Office office) {

  /**
   * Something that would be different.
   *
   * @param who for whom: a colleague or a line
   */
  public record Dependant(How how, Party who) {}

  /** How somebody is counted on. */
  public enum How {
    /** Calls of theirs go there by rules. */
    RULES_LEAD_THERE,
    /** Their calls ring there too. */
    RINGS_THERE,
    /** They answer and place calls for them. */
    ACTED_FOR,
    /** They are a member of the line. */
    MEMBER,
    /** They are the only member of the line. */
    ONLY_MEMBER,
    /** They lead the queue. */
    LEADS,
    /** Calls that nobody took go there. */
    FRONT_DESK
  }

  /** Who counts on this person, in the order of the office. */
  public List<Dependant> of(PersonId person) {
    List<Dependant> all = new ArrayList<>();
    Party them = new Party.Employee(person);
    rules(them, all);
    for (Group line : office.directory().groups()) {
      Party at = new Party.Members(line.id());
      if (line.members().contains(person)) {
        all.add(new Dependant(line.members().size() == 1 ? How.ONLY_MEMBER : How.MEMBER, at));
      }
      Queue queue = office.directions().queue(line.id());
      if (queue != null && queue.leads().contains(person)) {
        all.add(new Dependant(How.LEADS, at));
      }
    }
    return List.copyOf(all);
  }

  /** Who counts on this line. */
  public List<Dependant> of(GroupId line) {
    List<Dependant> all = new ArrayList<>();
    Party them = new Party.Members(line);
    if (line.equals(office.settings().frontDesk())) {
      all.add(new Dependant(How.FRONT_DESK, them));
    }
    rules(them, all);
    return List.copyOf(all);
  }

  private void rules(Party them, List<Dependant> all) {
    office.directions().rules().entrySet().stream()
        .filter(each -> !each.getKey().equals(them))
        .sorted(Comparator.comparing(each -> each.getKey().toString()))
        .forEach(each -> rules(each, them, all));
  }

  private static void rules(Map.Entry<Party, CallRules> of, Party them, List<Dependant> all) {
    CallRules rules = of.getValue();
    if (rules.rules().stream().anyMatch(rule -> leadsTo(rule.to().party(), them))) {
      all.add(new Dependant(How.RULES_LEAD_THERE, of.getKey()));
    }
    if (rules.rings().stream().anyMatch(ring -> ring.who().contains(them))) {
      all.add(new Dependant(How.RINGS_THERE, of.getKey()));
    }
    if (them.employee() != null && rules.delegates().contains(them.employee())) {
      all.add(new Dependant(How.ACTED_FOR, of.getKey()));
    }
  }

  /** To them, or to their mailbox. */
  private static boolean leadsTo(@Nullable Party to, Party them) {
    return to != null && (to.equals(them) || them.equals(to.mailboxOf()));
  }
}
