package oficina.core.exchange;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Settings;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.state.Call;
import oficina.core.state.CallBack;
import oficina.core.state.Connection;
import oficina.core.state.OutsidePhone;

/** What is asked for with random steps, most often what makes sense at that moment. */
record StepCommands(Scene scene) {

  /** What is asked for with a step. */
  Command of(Step step) {
    PersonId person = person(step);
    CallId call =
        step.amount() % 3 == 0
            ? another(new Step(step.what(), step.who(), 0, step.which()))
            : call(step);
    return switch (step.what()) {
      case CALL_INSIDE ->
          make(
              person,
              List.of("201", "212", "213", "214", "221", "222", "299").get(step.which() % 7));
      case CALL_OUTSIDE -> make(person, "0151 496 017" + step.which() + ",1");
      case CALL_GROUP -> make(person, "200");
      // Seldom: for an hour after it nobody is kept out.
      case CALL_EMERGENCY -> make(person, step.amount() < 3 ? "999" : "0113 496 0148");
      case ARRIVE ->
          new NetworkCommand.Arrive(
              scene.nextId(),
              step.amount() % 5 == 0 ? null : TestOffice.DOV,
              step.which() < 3
                  ? TestOffice.MAIN_NUMBER
                  : new PhoneNumber("+4419149802" + (10 + step.amount() % 13)));
      case ANSWER -> answer(call, person);
      case DECLINE -> new CallCommand.Decline(call, person);
      case SILENCE -> new CallCommand.Silence(call, person);
      case CLEAR -> new CallCommand.Clear(call, person);
      case HOLD -> new CallCommand.Hold(call, person);
      case RETRIEVE -> new CallCommand.Retrieve(call, person);
      case MUTE -> new CallCommand.Mute(call, person, step.amount() % 2 == 0);
      case PUT_THROUGH ->
          new SendCommand.PutThrough(
              call,
              person,
              target(step),
              null,
              step.which() < 4 ? null : Settings.Unanswered.values()[step.which() % 2]);
      case PULL_BACK -> new SendCommand.PullBack(call, person, Scene.WINDOW);
      case DEFLECT -> new SendCommand.Deflect(call, person, target(step), null);
      case ANNOUNCE ->
          new SendCommand.Announce(call, person, scene.nextId(), device(step), target(step), null);
      case HAND_OVER -> new SendCommand.HandOver(call, person, another(step));
      case JOIN -> new ConferenceCommand.Join(call, person, another(step));
      case RECONNECT -> new SendCommand.Reconnect(call, person);
      case PARK ->
          new SendCommand.Park(
              call,
              person,
              step.amount() % 4 == 0 ? null : slot(step),
              step.amount() % 5 == 0 ? TestOffice.EVERYBODY.get(step.which() % 6) : null,
              "");
      case TAKE_PARKED ->
          new SendCommand.TakeParked(
              step.amount() % 2 == 0 ? null : call,
              person,
              Scene.WINDOW,
              slot(step),
              step.which() % 2 == 0);
      case DIAL_SLOT -> make(person, slot(step));
      case MOVE_HERE ->
          new CallCommand.MoveHere(
              call,
              person,
              step.amount() % 2 == 0 ? device(step) : new DeviceId("phone-" + step.which() % 3));
      case CALL_VIA_PHONE -> viaPhone(step);
      case PHONE -> atPhone(step);
      case TAKE_ASIDE ->
          new ConferenceCommand.TakeAside(call, person, leg(step), scene.nextId(), Scene.WINDOW);
      case MUTE_MEMBER ->
          new ConferenceCommand.MuteMember(call, person, leg(step), step.amount() % 2 == 0);
      case DROP -> new ConferenceCommand.Drop(call, person, leg(step));
      case END_FOR_ALL -> new ConferenceCommand.EndForAll(call, person);
      case CALL_BACK -> callBack(step);
      case CANCEL_CALL_BACK -> new SendCommand.CancelCallBack(wish(step), person);
      case PICK_UP -> pickUp(step);
      case TAKE_OVER -> takeOver(step, call);
      case CALL_FOR_ANOTHER -> callForAnother(step);
      case DIGITS -> new CallCommand.SendDigits(call, person, "12#");
      case TO_MAILBOX -> new SendCommand.ToMailbox(call, person);
      case TAKE_FROM_MAILBOX ->
          new SendCommand.TakeFromMailbox(atMailbox(step), person, Scene.WINDOW);
      case GREETING_OVER -> new MachineCommand.GreetingOver(atMailbox(step), mailboxLeg(step));
      case MESSAGE_SOUNDS -> new MachineCommand.MessageSounds(atMailbox(step), mailboxLeg(step));
      case CALLER_SILENT -> new MachineCommand.CallerSilent(atMailbox(step), mailboxLeg(step));
      case TAPE -> new CallCommand.Tape(call, person, step.amount() % 4 > 0);
      case CALL_ATTENDANT ->
          step.which() < 5
              ? make(person, "290")
              : new NetworkCommand.Arrive(
                  scene.nextId(), TestOffice.DOV, new PhoneNumber("+441914980290"));
      case WELCOME_OVER -> new MachineCommand.WelcomeOver(welcomed(step), machineLeg(step));
      case WELCOME_CONNECTS ->
          new MachineCommand.WelcomeConnects(welcomed(step), machineLeg(step), target(step));
      case ATTENDANT_CLEARS -> new MachineCommand.AttendantClears(call, leg(step));
      case ATTENDANT_CONNECTS ->
          new MachineCommand.AttendantConnects(call, leg(step), person, target(step));
      case NETWORK_KEYS -> networkKeys(step, call);
      case NETWORK_RINGS -> new NetworkCommand.NetworkRings(call, 1 + step.amount() % 5);
      case NETWORK_ANSWERS -> networkAnswers(step, call);
      case NETWORK_FAILS ->
          new NetworkCommand.NetworkFails(call, 1 + step.amount() % 5, Cause.BUSY);
      case NETWORK_CLEARS -> new NetworkCommand.NetworkClears(call, 1 + step.amount() % 5);
      case STATUS -> status(step);
      case TAKE_PART ->
          new OfficeCommand.TakePart(
              person,
              step.which() % 3 == 0 ? null : line(step),
              step.amount() > 18, // otherwise hardly anybody would take part after a while
              "lunch",
              step.amount() % 3 == 0 ? TestOffice.INES : person);
      case FINISH ->
          new OfficeCommand.Finish(
              person, step.amount() % 3 == 0 ? Duration.ofSeconds(step.amount()) : null);
      case TAKE_WAITING ->
          new SendCommand.TakeWaiting(waiting(step), TestOffice.INES, Scene.WINDOW);
      case WAITER_CHOOSES ->
          step.which() % 4 > 0 && asked() != null
              ? new MachineCommand.CallerGives(asked(), musicLeg(asked()), "4711")
              : new MachineCommand.WaiterChooses(
                  waiting(step),
                  musicLeg(waiting(step)),
                  MachineCommand.Choice.values()[Math.max(0, step.amount() % 5 - 2)]);
      case MOVE_WAITING -> new SendCommand.MoveWaiting(waiting(step), TestOffice.INES, line(step));
      case WAIT, COME_OR_GO, TWO_HANG_UP, DECIDE ->
          throw new IllegalArgumentException(step.toString());
    };
  }

  /** A window, or now and then the telephone outside, which takes one of few lines. */
  private static DeviceId device(Step step) {
    return step.which() % 4 == 0 ? DeviceId.OUTSIDE : new DeviceId("window-2");
  }

  private Command viaPhone(Step step) {
    List<String> numbers = List.of("221", "200", "0151 496 0172", "61", "213", "212", "290");
    return new CallCommand.MakeCall(
        scene.nextId(),
        person(step),
        step.amount() % 3 == 0 ? DeviceId.OUTSIDE : Scene.WINDOW,
        scene.office.plan.interpret(
            step.amount() == 0 ? "999" : numbers.get(step.which() % numbers.size())),
        null);
  }

  /** Something happens at a telephone outside that is one of somebody's devices. */
  private Command atPhone(Step step) {
    List<OutsidePhone> phones = scene.exchange.state().outsidePhones();
    CallId line =
        phones.isEmpty() ? new CallId("none") : phones.get(step.which() % phones.size()).line();
    return switch (step.amount() % 8) {
      case 0 -> new NetworkCommand.NetworkRings(line, 1);
      case 1, 2 -> new NetworkCommand.NetworkAnswers(line, 1);
      case 3, 4 -> new NetworkCommand.NetworkKeys(line, 1, "1");
      case 5, 6 -> new NetworkCommand.NetworkClears(line, 1);
      default -> new NetworkCommand.NetworkFails(line, 1, Cause.NETWORK_FAILURE);
    };
  }

  private Command status(Step step) {
    boolean over = step.amount() > 8; // otherwise hardly anybody would be reached after a while
    Status.Kind kind = over ? Status.Kind.FREE : Status.Kind.values()[step.which() % 5];
    Instant until = step.amount() % 2 == 0 ? scene.now().plusSeconds(60L * step.amount()) : null;
    return new OfficeCommand.SetStatus(person(step), kind, "", until);
  }

  private static Command pickUp(Step step) {
    PersonId from = step.which() < 3 ? null : TestOffice.EVERYBODY.get(step.which() % 6);
    return new CallCommand.PickUp(person(step), Scene.WINDOW, from);
  }

  /** Most often where there is such a call. */
  private Command takeOver(Step step, CallId otherwise) {
    return TestOffice.EVERYBODY.stream()
        .flatMap(
            person ->
                scene.exchange.actedFor(person).stream()
                    .filter(each -> each.service() != null)
                    .map(each -> new CallCommand.TakeOver(each.call(), person, Scene.WINDOW)))
        .skip(step.which() % 2)
        .findFirst()
        .orElse(new CallCommand.TakeOver(otherwise, person(step), Scene.WINDOW));
  }

  /** Most often by somebody who acts for whoever is named. */
  private Command callForAnother(Step step) {
    PersonId delegate = person(step);
    PersonId principal =
        scene.exchange.office().delegations().principalsOf(delegate).stream()
            .findFirst()
            .orElse(TestOffice.EVERYBODY.get(step.which() % 6));
    String typed = List.of("221", "200", "0151 496 0172", "999").get(step.amount() % 4);
    return new CallCommand.MakeCall(
        scene.nextId(),
        delegate,
        Scene.WINDOW,
        scene.office.plan.interpret(typed),
        null,
        null,
        principal);
  }

  /** What rings back at whoever waited for a colleague is answered; it is rare enough. */
  private Command answer(CallId otherwise, PersonId person) {
    return scene.exchange.state().calls().stream()
        .filter(call -> call.connections().stream().anyMatch(call::ringsBackAt))
        .map(call -> new CallCommand.Answer(call.id(), call.caller().employee(), Scene.WINDOW))
        .findFirst()
        .orElse(new CallCommand.Answer(otherwise, person, Scene.WINDOW));
  }

  /** Most often asked for where it makes sense: by the caller of a call that failed. */
  private Command callBack(Step step) {
    Call failed =
        scene.exchange.state().calls().stream()
            .filter(call -> call.failure() != null && call.caller().employee() != null)
            .min(Comparator.comparing(Call::id))
            .orElse(scene.state(call(step)));
    PersonId person = failed == null ? null : failed.caller().employee();
    return new SendCommand.RequestCallBack(
        failed == null ? new CallId("none") : failed.id(),
        person == null ? person(step) : person,
        scene.nextId());
  }

  /** Most often one in which a mailbox is; otherwise hardly any message would come about. */
  private CallId atMailbox(Step step) {
    return scene.exchange.state().calls().stream()
        .filter(call -> call.mailbox() != null && step.amount() % 5 > 0)
        .map(Call::id)
        .min(Comparator.naturalOrder())
        .orElse(call(step));
  }

  private CallId welcomed(Step step) {
    return scene.exchange.state().calls().stream()
        .filter(call -> call.standIn() != null && call.mailbox() == null)
        .map(Call::id)
        .min(Comparator.naturalOrder())
        .orElse(call(step));
  }

  /** A call whose caller is asked for a number; null when none is. */
  private CallId asked() {
    return scene.exchange.state().calls().stream()
        .filter(call -> call.place() != null && call.place().isAsked())
        .map(Call::id)
        .min(Comparator.comparing(CallId::value))
        .orElse(null);
  }

  private int musicLeg(CallId waiting) {
    Call call = scene.state(waiting);
    return call == null || call.standIn() == null ? 0 : call.standIn().leg();
  }

  private int machineLeg(Step step) {
    Call call = scene.state(welcomed(step));
    return call == null || call.standIn() == null ? leg(step) : call.standIn().leg();
  }

  /** Most often where the network has been asked to ring somebody. */
  private Command networkAnswers(Step step, CallId otherwise) {
    for (Call call : scene.exchange.state().calls()) {
      for (Connection leg : call.connections()) {
        if (leg.party().usesOutsideLine() && !leg.answered() && step.which() < 6) {
          return new NetworkCommand.NetworkAnswers(call.id(), leg.leg());
        }
      }
    }
    return new NetworkCommand.NetworkAnswers(otherwise, 1 + step.amount() % 5);
  }

  /** Most often of an outsider who is recorded, and may not want that. */
  private Command networkKeys(Step step, CallId call) {
    String key = List.of("1", "#", "*").get(step.which() % 3);
    return scene.exchange.state().calls().stream()
        .filter(each -> each.connections().stream().anyMatch(leg -> leg.tape().on()))
        .max(Comparator.comparing(each -> each.began()))
        .flatMap(
            taped ->
                taped.connections().stream()
                    .filter(leg -> leg.party().usesOutsideLine())
                    .map(leg -> new NetworkCommand.NetworkKeys(taped.id(), leg.leg(), key))
                    .findFirst())
        .orElse(new NetworkCommand.NetworkKeys(call, 1 + step.who() % 3, key));
  }

  private int mailboxLeg(Step step) {
    Call call = scene.state(atMailbox(step));
    return call == null || call.mailbox() == null ? leg(step) : call.mailbox().leg();
  }

  private static int leg(Step step) {
    return 1 + step.which();
  }

  private static String slot(Step step) {
    return TestOffice.SLOTS.get(step.which() % 2);
  }

  private CallId wish(Step step) {
    List<CallBack> wishes = scene.exchange.state().callBacks();
    return wishes.isEmpty()
        ? new CallId("none")
        : wishes.get(step.which() % wishes.size()).request();
  }

  private Dialled target(Step step) {
    if (step.amount() == 23) {
      return new Dialled.Mailbox(step.which() < 5 ? "221" : "212");
    }
    List<String> targets =
        List.of("201", "212", "213", "221", "222", "200", "299", "0151 496 0170", "999", "61");
    return scene.office.plan.interpret(targets.get(step.amount() % targets.size()));
  }

  /** Another call, most often one of the same person, without which joining would be rare. */
  private CallId another(Step step) {
    List<CallId> own = scene.exchange.state().inHand(person(step));
    return own.isEmpty() ? call(step) : own.get(step.amount() % own.size());
  }

  private Command make(PersonId person, String typed) {
    return new CallCommand.MakeCall(
        scene.nextId(), person, Scene.WINDOW, scene.office.plan.interpret(typed), null);
  }

  static PersonId person(Step step) {
    return TestOffice.EVERYBODY.get(step.who());
  }

  private CallId call(Step step) {
    TreeSet<CallId> calls = new TreeSet<>();
    scene.exchange.state().calls().forEach(call -> calls.add(call.id()));
    return calls.isEmpty()
        ? new CallId("none")
        : new ArrayList<>(calls).get(step.which() % calls.size());
  }

  private static GroupId line(Step step) {
    return step.which() % 2 == 0 ? TestOffice.FRONT_DESK : TestOffice.FREIGHT;
  }

  /** One of the calls that wait at a line. */
  private CallId waiting(Step step) {
    List<CallId> all =
        scene.exchange.state().calls().stream().filter(Call::waits).map(Call::id).sorted().toList();
    return all.isEmpty() ? new CallId("none") : all.get(step.which() % all.size());
  }
}
