package oficina.server.rules;

import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import oficina.core.call.Party;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.core.routing.Called;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.server.office.DirectionsStore;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import oficina.server.rules.RulesBody.CallersBody;
import oficina.server.rules.RulesBody.Hours;
import oficina.server.rules.RulesBody.RuleBody;
import oficina.server.rules.RulesBody.RuleTarget;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Reads rules as they were sent: what is named as one would dial it becomes who is meant. */
@Component
class RulesReading {
  private final OfficeData office;
  private final DirectionsStore store;

  RulesReading(OfficeData office, DirectionsStore store) {
    this.office = office;
    this.store = store;
  }

  /**
   * @throws Problem when something in them cannot be called, or names nobody
   */
  CallRules rules(RulesBody body, Party owner) {
    Set<Long> known =
        office.now().directions().rulesOf(owner).rules().stream()
            .map(Rule::id)
            .collect(Collectors.toCollection(HashSet::new));
    return new CallRules(
        body.rules().stream().map(each -> rule(each, owner, known)).toList(),
        body.rings().stream()
            .map(
                each ->
                    new CallRules.Ring(
                        each.who().stream().map(this::party).toList(),
                        Duration.ofSeconds(each.seconds())))
            .toList(),
        Hours.timetable(body.hours()),
        body.delegates().stream().distinct().map(PersonId::new).toList(),
        body.welcome());
  }

  private Rule rule(RuleBody body, Party owner, Set<Long> known) {
    boolean mine = known.remove(body.id()); // of two with one number the second is a new one
    Instant until =
        body.until() == null
            ? null
            : body.until().atZone(office.now().identity().zone()).toInstant();
    return new Rule(
        mine ? body.id() : store.newRule(),
        body.when(),
        callers(body.callers()),
        Hours.timetable(body.times()),
        until,
        destination(body.to(), owner));
  }

  private Destination destination(RuleTarget to, Party owner) {
    return switch (to.kind()) {
      case RING -> Destination.RING;
      case REFUSE -> Destination.REFUSE;
      case VOICEMAIL -> Destination.to(new Party.Mailbox(owner));
      case DIAL -> Destination.to(party(to.dial()));
    };
  }

  /**
   * Who is reached by dialling this.
   *
   * @throws Problem when nobody is
   */
  Party party(String text) {
    Dialled dialled = office.plan().interpret(text);
    if (dialled.refused() != null) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_NUMBER", Map.of("text", text));
    }
    return Called.party(office.now(), dialled);
  }

  private Callers callers(CallersBody body) {
    if (body.kind() != Callers.Kind.CHOSEN) {
      return new Callers(body.kind(), Set.of(), Set.of(), Set.of());
    }
    if (body.people().isEmpty() && body.numbers().isEmpty() && body.companies().isEmpty()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_CALLERS");
    }
    return new Callers(
        body.kind(),
        body.people().stream().map(PersonId::new).collect(Collectors.toSet()),
        numbers(body.numbers()),
        body.companies().stream()
            .map(each -> each.strip().toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet()));
  }

  private Set<PhoneNumber> numbers(List<String> typed) {
    Set<PhoneNumber> numbers = new HashSet<>();
    for (String each : typed) {
      PhoneNumber number = office.plan().outsideNumber(each);
      if (number == null) {
        throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "NO_SUCH_NUMBER", Map.of("text", each));
      }
      numbers.add(number);
    }
    return numbers;
  }
}
