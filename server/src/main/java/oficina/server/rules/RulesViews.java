package oficina.server.rules;

import java.util.List;
import java.util.Objects;
import oficina.core.call.Party;
import oficina.core.office.Office;
import oficina.core.people.Group;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Moment;
import oficina.core.rules.Rule;
import oficina.server.json.CoreJson;
import oficina.server.office.OfficeData;
import oficina.server.people.Parties;
import oficina.server.rules.RulesBody.Hours;
import oficina.server.rules.RulesBody.TargetKind;
import oficina.server.rules.RulesView.CallersView;
import oficina.server.rules.RulesView.RingView;
import oficina.server.rules.RulesView.RuleView;
import oficina.server.rules.RulesView.TargetView;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Rules as the pages show them. */
@Component
class RulesViews {
  private final OfficeData office;
  private final Parties parties;
  private final MovableClock clock;

  RulesViews(OfficeData office, Parties parties, MovableClock clock) {
    this.office = office;
    this.parties = parties;
    this.clock = clock;
  }

  RulesView view(Party owner, PersonId viewer, boolean mayChange) {
    Office now = office.now();
    CallRules rules = now.directions().rulesOf(owner);
    Moment moment = now.directions().at(clock.instant());
    return new RulesView(
        parties.view(owner, viewer),
        mayChange,
        now.hasMailbox(owner),
        ringSeconds(owner),
        rules.open(moment),
        rules.rules().stream().map(rule -> view(rule, owner, viewer, moment)).toList(),
        rules.rings().stream().map(ring -> view(ring, viewer)).toList(),
        Hours.of(rules.hours()),
        rules.delegates().stream()
            .filter(each -> now.directory().person(each).isPresent())
            .map(each -> parties.view(new Party.Employee(each), viewer))
            .toList(),
        rules.welcome(),
        keeps(owner),
        version(rules));
  }

  private @Nullable Integer keeps(Party owner) {
    Queue queue = owner.group() == null ? null : office.now().directions().queue(owner.group());
    return queue == null ? null : (int) queue.longestWait().toSeconds();
  }

  /** Tells rules from what they were before. */
  static int version(CallRules rules) {
    return CoreJson.JSON.writeValueAsString(rules).hashCode();
  }

  private int ringSeconds(Party owner) {
    return (int)
        (owner.employee() == null
            ? office.directory().group(owner.group()).map(Group::ringTime).orElseThrow().toSeconds()
            : office
                .directory()
                .person(owner.employee())
                .map(Person::ringTime)
                .orElseThrow()
                .toSeconds());
  }

  private RingView view(CallRules.Ring ring, PersonId viewer) {
    return new RingView(
        ring.who().stream().map(each -> parties.view(each, viewer)).toList(),
        (int) ring.time().toSeconds());
  }

  private RuleView view(Rule rule, Party owner, PersonId viewer, Moment now) {
    return new RuleView(
        rule.id(),
        rule.when(),
        callers(rule.callers(), viewer),
        Hours.of(rule.times()),
        rule.until() == null
            ? null
            : rule.until().atZone(office.now().identity().zone()).toLocalDateTime(),
        target(rule.to(), owner, viewer),
        rule.holds(now));
  }

  private CallersView callers(Callers callers, PersonId viewer) {
    return new CallersView(
        callers.kind(),
        callers.people().stream()
            .map(each -> parties.view(new Party.Employee(each), viewer))
            .toList(),
        callers.numbers().stream()
            .map(each -> parties.view(new Party.Outside(each), viewer))
            .toList(),
        List.copyOf(callers.companies()));
  }

  private TargetView target(Destination to, Party owner, PersonId viewer) {
    if (to.party() == null) {
      TargetKind kind = to.kind() == Destination.Kind.RING ? TargetKind.RING : TargetKind.REFUSE;
      return new TargetView(kind, "", null);
    }
    if (owner.equals(to.party().mailboxOf())) {
      return new TargetView(TargetKind.VOICEMAIL, "", null);
    }
    String dial = Objects.requireNonNullElse(parties.dial(to.party()), "");
    return new TargetView(TargetKind.DIAL, dial, parties.view(to.party(), viewer));
  }
}
