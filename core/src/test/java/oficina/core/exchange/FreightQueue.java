package oficina.core.exchange;

import static oficina.core.TestOffice.ADAEZE;
import static oficina.core.TestOffice.BRAM;
import static oficina.core.TestOffice.FREIGHT;
import static oficina.core.TestOffice.INES;
import static oficina.core.TestOffice.TOMASZ;
import static oficina.core.TestOffice.ZOE;

import java.time.Duration;
import java.util.List;
import java.util.Set;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Refusal;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.queueing.Queue.Order;
import oficina.core.queueing.Queue.Preference;
import oficina.core.rules.CallRules;
import oficina.core.rules.Callers;
import oficina.core.rules.Destination;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;

/** The freight line keeps callers until Tomasz or Zoë is free; Ines leads it. */
abstract class FreightQueue {
  static final String LINE = "+441914980220";
  static final Party.Members LINE_PARTY = new Party.Members(FREIGHT);
  static final PhoneNumber THIRD = new PhoneNumber("+441614960111");

  final Scene scene = new Scene();

  FreightQueue() {
    keeps(FREIGHT, queue(Order.LONGEST_IDLE, List.of(), List.of()));
  }

  static Queue queue(Order order, List<Queue.Level> levels, List<Preference> preferences) {
    return queue(order, levels, preferences, Queue.Told.NOTHING);
  }

  static Queue queue(
      Order order, List<Queue.Level> levels, List<Preference> preferences, Queue.Told told) {
    return new Queue(
        order,
        levels,
        Duration.ofMinutes(5),
        3,
        Duration.ofSeconds(20),
        preferences,
        Set.of(INES),
        told,
        new Queue.Choices(true, true, true),
        Queue.DEFAULT.target(),
        Queue.Shown.NOTHING);
  }

  void keeps(GroupId line, Queue queue) {
    var office = scene.exchange.office();
    scene.exchange.office(office.with(office.directions().with(line, queue)));
  }

  void rule(Situation when, Destination to) {
    var office = scene.exchange.office();
    CallRules rules =
        new CallRules(List.of(new Rule(7, when, Callers.ANYBODY, null, null, to)), List.of(), null);
    scene.exchange.office(office.with(office.directions().with(LINE_PARTY, rules)));
  }

  /** Both members speak with somebody else. */
  void bothBusy() {
    scene.answer(scene.call(TOMASZ, "213"), BRAM);
    scene.answer(scene.call(ZOE, "212"), ADAEZE);
  }

  void free(PersonId person) {
    scene.exchange.state().inHand(person).forEach(call -> scene.clear(call, person));
  }

  List<CallId> waiting() {
    return scene.exchange.state().queues().waitingAt(FREIGHT);
  }

  PersonId rings(CallId call) {
    return scene.state(call).connections().stream()
        .filter(each -> each.rings())
        .map(each -> each.party().employee())
        .findFirst()
        .orElse(null);
  }

  Refusal takePart(PersonId person, boolean rests, PersonId by) {
    return scene.run(new OfficeCommand.TakePart(person, FREIGHT, rests, "lunch", by));
  }
}
