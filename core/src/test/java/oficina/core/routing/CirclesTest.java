package oficina.core.routing;

import static oficina.core.TestOffice.DOV;
import static oficina.core.TestOffice.EVERYBODY;
import static oficina.core.TestOffice.MARISOL;
import static oficina.core.TestOffice.ZOE;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import oficina.core.TestOffice;
import oficina.core.blocking.BlockList;
import oficina.core.call.CallerId;
import oficina.core.call.Party;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.events.ReachEvent;
import oficina.core.exchange.RandomRules;
import oficina.core.exchange.Scene;
import oficina.core.exchange.TryIt;
import oficina.core.exchange.TryIt.Given;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Directions;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.rules.CallRules;
import oficina.core.rules.Rule;
import oficina.core.rules.Situation;
import org.junit.jupiter.api.Test;

/** Calls that go round in a circle, and the faults that say so before. */
class CirclesTest {

  @Test
  void without_faults_nothing_ever_goes_round_in_a_circle() {
    int circles = 0;
    for (int seed = 0; seed < 1_500; seed++) {
      Random random = new Random(seed);
      Scene other = new Scene();
      Office office = new RandomRules(random).office(other.office.office);
      other.exchange.office(office);
      boolean faulty =
          office.directions().rules().keySet().stream()
              .flatMap(owner -> new RuleCheck(office).faults(owner).stream())
              .map(RuleCheck.Fault::kind)
              .anyMatch(List.of(RuleCheck.Kind.CIRCLE, RuleCheck.Kind.TO_ONESELF)::contains);
      boolean circled = false;
      for (PersonId person : EVERYBODY) {
        String number = "+441914980" + other.office.directory.person(person).get().extension();
        Command call = new NetworkCommand.Arrive(TryIt.call(), DOV, new PhoneNumber(number));
        for (Given given : Given.values()) {
          circled |=
              new TryIt(other.exchange)
                  .run(call, TestOffice.START, given, person).stations().stream()
                      .anyMatch(each -> each.kind() == Station.Kind.CIRCLE);
        }
      }
      assertThat(circled && !faulty).as("seed %s", seed).isFalse();
      circles += circled ? 1 : 0;
    }
    assertThat(circles).as("and many really do").isGreaterThan(50);
  }

  /** Of people, at all times: what lines and clocks need at once need not ever be the case. */
  @Test
  void every_circle_that_is_found_is_one_that_a_call_can_go_round() {
    int circles = 0;
    for (int seed = 0; seed < 1_500; seed++) {
      Random random = new Random(seed);
      Office office = ofPeople(new RandomRules(random).office(new Scene().office.office));
      for (PersonId person : EVERYBODY) {
        Party owner = new Party.Employee(person);
        boolean found =
            new RuleCheck(office)
                .faults(owner).stream().anyMatch(each -> each.kind() == RuleCheck.Kind.CIRCLE);
        if (found) {
          circles++;
          assertThat(goesRound(office, person, random)).as("seed %s, %s", seed, owner).isTrue();
        }
      }
    }
    assertThat(circles).isGreaterThan(20);
  }

  /**
   * The same office with those rules alone of which one can say at once what they need. Zoë has
   * none: her calls cannot come back to herself.
   */
  private static Office ofPeople(Office office) {
    Map<Party, CallRules> all = new HashMap<>();
    office
        .directions()
        .rules()
        .forEach(
            (owner, rules) -> {
              List<Rule> plain =
                  rules.rules().stream()
                      .filter(
                          rule ->
                              rule.times() == null
                                  && rule.when() != Situation.DECLINED
                                  && rule.callers().people().isEmpty()
                                  && (rule.to().party() == null
                                      || rule.to().party().group() == null))
                      .toList();
              if (owner.employee() != null && !owner.employee().equals(ZOE)) {
                all.put(owner, new CallRules(plain, List.of(), null));
              }
            });
    Directions usual = office.directions();
    return office.with(
        new Directions(all, BlockList.EMPTY, usual.opening(), usual.book(), Map.of(), false));
  }

  /** Whether a call from outside goes round when people are in some situation or other. */
  private static boolean goesRound(Office office, PersonId person, Random random) {
    for (int time = 0; time < 20_000; time++) {
      Scene other = new Scene();
      other.exchange.office(office);
      EVERYBODY.forEach(each -> beAnyhow(other, each, random));
      String number = "+441914980" + other.office.directory.person(person).get().extension();
      PhoneNumber from = List.of(DOV, MARISOL).get(random.nextInt(2));
      Command call =
          random.nextInt(3) > 0
              ? new NetworkCommand.Arrive(TryIt.call(), from, new PhoneNumber(number))
              : new CallCommand.MakeCall(
                  TryIt.call(), ZOE, TryIt.device(), office.plan().interpret(number), null);
      boolean circled =
          new TryIt(other.exchange)
              .run(call, TestOffice.START, Given.AS_IT_IS, null).stations().stream()
                  .anyMatch(each -> each.kind() == Station.Kind.CIRCLE);
      if (circled) {
        return true;
      }
    }
    return false;
  }

  private static void beAnyhow(Scene scene, PersonId person, Random random) {
    switch (random.nextInt(5)) {
      case 0 ->
          scene.run(new OfficeCommand.SetStatus(person, Status.Kind.DO_NOT_DISTURB, "", null));
      case 1 -> scene.run(new OfficeCommand.SetStatus(person, Status.Kind.OFF_DUTY, "", null));
      case 2 -> scene.goes(person);
      case 3 ->
          scene.exchange.apply(
              new ReachEvent.Originated(
                  scene.nextId(),
                  scene.now(),
                  1,
                  new Party.Employee(person),
                  new Party.Nobody(""),
                  Scene.WINDOW,
                  CallerId.WITHHELD,
                  "",
                  null,
                  null,
                  List.of()));
      default -> {} // free, and does not answer
    }
  }
}
