package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.office.Office;
import oficina.core.people.PersonId;
import oficina.core.state.Call;
import oficina.core.state.ExchangeState;
import oficina.core.state.OutsidePhone;

/** Plays random steps on an exchange and checks the rules after each. */
final class Play {
  final Scene scene = new Scene();
  private final StepCommands commands = new StepCommands(scene);
  private final ExchangeRules rules = new ExchangeRules(scene);
  private final QueueRules queues = new QueueRules(scene);
  private final Lives lives = new Lives(scene);
  private int checked;
  private Office lastOffice;

  void take(Step step) {
    if (step.what() == Step.What.WAIT) {
      scene.wait(step.amount());
    } else if (step.what() == Step.What.TWO_HANG_UP) {
      hangUp(StepCommands.person(step));
      hangUp(TestOffice.EVERYBODY.get(step.which() % 6));
    } else if (step.what() == Step.What.COME_OR_GO) {
      comesOrGoes(step);
    } else if (step.what() == Step.What.DECIDE) {
      // Now and then everybody decides something else, and at times nothing, while calls go on.
      boolean nothing = step.amount() > 11;
      Random random = new Random(step.amount() * 48L + step.which() * 6L + step.who());
      Office usual = scene.office.office;
      scene.exchange.office(nothing ? usual : new RandomRules(random).office(usual));
      scene.run(new OfficeCommand.Tick()); // whoever waits goes by what is decided now
    } else {
      Command command = commands.of(step);
      if (step.amount() == 0) { // now and then: comparing whole states takes long
        String before = scene.exchange.state().snapshot();
        scene.exchange.decide(command, scene.now());
        assertThat(scene.exchange.state().snapshot()).as("no side effect").isEqualTo(before);
      }
      scene.run(command);
    }
    check();
  }

  /** Windows, and telephones that are plugged in, unplugged and lent. */
  private void comesOrGoes(Step step) {
    PersonId person = StepCommands.person(step);
    ExchangeState state = scene.exchange.state();
    DeviceId phone = new DeviceId("phone-" + step.which() % 3);
    PersonId holder =
        TestOffice.EVERYBODY.stream()
            .filter(each -> state.devices(each).stream().anyMatch(d -> d.id().equals(phone)))
            .findFirst()
            .orElse(null);
    if (step.amount() < 6 && holder != null) {
      scene.run(new OfficeCommand.LendDevice(phone, holder, person));
    } else if (step.amount() < 9 && holder != null) {
      scene.run(new OfficeCommand.DeviceGoes(holder, phone));
    } else if (step.amount() < 9) {
      scene.run(new OfficeCommand.DeviceComes(person, phone, DeviceKind.TELEPHONE, true));
    } else if (state.devices(person).stream().noneMatch(d -> d.id().equals(Scene.WINDOW))) {
      scene.comes(person);
    } else {
      scene.goes(person);
    }
  }

  /** Everything this person has in hand; otherwise hardly anybody would ever be free. */
  private void hangUp(PersonId person) {
    for (CallId call : scene.exchange.state().inHand(person)) {
      scene.run(new CallCommand.Clear(call, person));
    }
  }

  /** After a step that has led to nothing everything is as it was checked before. */
  private void check() {
    if (checked == scene.events.size() && lastOffice == scene.exchange.office()) {
      return;
    }
    lastOffice = scene.exchange.office();
    for (; checked < scene.events.size(); checked++) {
      lives.follow(scene.events.get(checked));
    }
    rules.hold();
    queues.hold();
  }

  /** Rule 6: replaying gives the same state; and whatever only waits comes to an end. */
  void end() {
    Exchange again = new Scene().exchange;
    scene.events.forEach(again::apply);
    assertThat(again.state().snapshot()).as("rule 6").isEqualTo(scene.exchange.state().snapshot());
    scene.wait(2 * 3600);
    check();
    QueueRules.waitsEndOnce(scene.events);
    assertThat(scene.exchange.state().calls()).allMatch(Call::conversation);
    assertThat(scene.exchange.state().callBacks()).as("wishes end").isEmpty();
    assertThat(scene.exchange.state().outsidePhones()).allMatch(OutsidePhone::isThere);
  }
}
