package oficina.server.rules;

import java.util.List;
import java.util.Map;
import oficina.core.call.Party;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.routing.RuleCheck;
import oficina.core.rules.CallRules;
import oficina.server.office.DirectionsStore;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.problems.Problem;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Keeps rules, once nothing is wrong with them. */
@Component
public class RulesKeeping {
  private final OfficeData office;
  private final DirectionsStore store;
  private final RulesReading reading;
  private final Parties parties;
  private final Topics topics;

  RulesKeeping(
      OfficeData office,
      DirectionsStore store,
      RulesReading reading,
      Parties parties,
      Topics topics) {
    this.office = office;
    this.store = store;
    this.reading = reading;
    this.parties = parties;
    this.topics = topics;
  }

  /**
   * Puts these rules in the place of those there were.
   *
   * @param by who wants them, for whom faults are named
   * @throws Problem when something is wrong with them
   */
  void keep(Party owner, CallRules rules, PersonId by) {
    refuseFaults(owner, rules, by);
    office.change(() -> store.keep(owner, rules));
    topics.tellAll(Topic.RULES);
  }

  private void refuseFaults(Party owner, CallRules rules, PersonId by) {
    Office then = office.now().with(office.now().directions().with(owner, rules));
    List<RuleCheck.Fault> faults = new RuleCheck(then).faults(owner);
    if (!faults.isEmpty()) {
      RuleCheck.Fault first = faults.get(0);
      String name = first.party() == null ? "" : parties.name(first.party(), by);
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "RULE_" + first.kind().name(), Map.of("name", name));
    }
  }

  /**
   * Has every call of this person go there, or where their other rules have it go.
   *
   * @param to as it was dialled, the number of voicemail for their own; empty for no longer
   * @throws Problem when nobody is reached by that, or it goes round in a circle
   */
  public void forward(PersonId person, String to) {
    Party owner = new Party.Employee(person);
    CallRules before = office.now().directions().rulesOf(owner);
    if (to.isEmpty()) {
      keep(owner, before.forwarding(null, 0), person);
      return;
    }
    Party wanted = reading.party(to);
    Party there = wanted.takesKeys() ? new Party.Mailbox(owner) : wanted;
    keep(owner, before.forwarding(there, store.newRule()), person);
  }
}
