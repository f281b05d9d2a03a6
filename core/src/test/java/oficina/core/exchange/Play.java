package oficina.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import oficina.core.TestOffice;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.ConferenceCommand;
import oficina.core.commands.MachineCommand;
import oficina.core.commands.NetworkCommand;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.events.CallBackEvent;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.FewEvents;
import oficina.core.events.MachineEvent;
import oficina.core.events.ReachEvent;
import oficina.core.events.TalkEvent;
import oficina.core.history.Part;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.state.Call;
import oficina.core.state.CallBack;
import oficina.core.state.Connection;
import oficina.core.state.ConnectionState;
import oficina.core.state.Device;
import oficina.core.state.ExchangeState;
import oficina.core.state.Listening;
import oficina.core.state.OutsidePhone;
import oficina.core.state.Tape;
import oficina.core.state.Taping;

/** Plays random steps on an exchange and checks the rules after each. */
final class Play {
  final Scene scene = new Scene();
  private final Map<CallId, Set<Integer>> legs = new HashMap<>();
  private final Map<CallId, Set<PersonId>> took = new HashMap<>();
  private int checked;

  void take(Step step) {
    if (step.what() == Step.What.WAIT) {
      scene.wait(step.amount());
    } else if (step.what() == Step.What.TWO_HANG_UP) {
      hangUp(person(step));
      hangUp(TestOffice.EVERYBODY.get(step.which() % 6));
    } else if (step.what() == Step.What.COME_OR_GO) {
      comesOrGoes(step);
    } else if (step.what() == Step.What.DECIDE) {
      // Now and then everybody decides something else, and at times nothing, while calls go on.
      boolean nothing = step.amount() > 11;
      Random random = new Random(step.amount() * 48L + step.which() * 6L + step.who());
      Office usual = scene.office.office;
      scene.exchange.office(nothing ? usual : new RandomRules(random).office(usual));
    } else {
      Command command = command(step);
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
    PersonId person = person(step);
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

  private Command command(Step step) {
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

  /** Everything this person has in hand; otherwise hardly anybody would ever be free. */
  private void hangUp(PersonId person) {
    for (CallId call : scene.exchange.state().inHand(person)) {
      scene.run(new CallCommand.Clear(call, person));
    }
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

  private static PersonId person(Step step) {
    return TestOffice.EVERYBODY.get(step.who());
  }

  private CallId call(Step step) {
    TreeSet<CallId> calls = new TreeSet<>();
    scene.exchange.state().calls().forEach(call -> calls.add(call.id()));
    return calls.isEmpty()
        ? new CallId("none")
        : new ArrayList<>(calls).get(step.which() % calls.size());
  }

  private void check() {
    for (; checked < scene.events.size(); checked++) {
      follow(scene.events.get(checked));
    }
    for (PersonId person : TestOffice.EVERYBODY) {
      long active =
          scene.exchange.state().inHand(person).stream()
              .filter(id -> scene.state(id, person) == ConnectionState.CONNECTED)
              .count();
      assertThat(active).as("rule 1: one active connection, person %s", person).isLessThan(2);
      long heard =
          scene.exchange.state().inHand(person).stream()
              .map(id -> Listening.of(scene.state(id), scene.state(id).of(person)))
              .filter(listening -> listening.sound() != Listening.Sound.SILENCE)
              .count();
      assertThat(heard).as("rule 3: hears one call, person %s", person).isLessThan(2);
      checkAttended(person);
      checkOffers(person);
      checkActedFor(person);
    }
    assertThat(TestOffice.EVERYBODY.stream().flatMap(this::telephones))
        .as("a telephone is one person's at a time")
        .doesNotHaveDuplicates();
    int lines = 0;
    Set<String> slots = new HashSet<>();
    for (Call call : scene.exchange.state().calls()) {
      lines += call.outsideLines();
      assertThat(call.connections()).as("rule 2: nobody left in %s", call).isNotEmpty();
      call.connections().forEach(listener -> checkListening(call, listener));
      call.connections().forEach(owner -> checkTaping(call, owner));
      assertThat(call.connections().stream().map(c -> c.party().employee()).filter(p -> p != null))
          .as("rule 4: twice in %s", call)
          .doesNotHaveDuplicates();
      assertThat(call.parties()).as("conference limit: %s", call).isLessThan(5);
      assertThat(call.starter() != null && !call.conference()).as("of two: %s", call).isFalse();
      if (call.parked() != null) {
        assertThat(slots.add(call.parked().slot())).as("rule 4: slot of %s", call).isTrue();
        assertThat(scene.exchange.state().inSlot(call.parked().slot())).isSameAs(call);
      }
      assertThat(call.conversation() || call.due() != null || waitsForPhone(call))
          .as("rule 7: connected to nothing: %s", call)
          .isTrue();
    }
    List<OutsidePhone> phones = scene.exchange.state().outsidePhones();
    assertThat(scene.exchange.state().outsideLinesTaken()).isEqualTo(lines + phones.size());
    assertThat(phones).extracting(OutsidePhone::person).doesNotHaveDuplicates();
    for (OutsidePhone phone : phones) {
      boolean used =
          scene.exchange.state().inHand(phone.person()).stream()
              .anyMatch(id -> isThere(scene.state(id).of(phone.person())));
      assertThat(phone.isThere() ? used : phone.due() != null)
          .as("a line that nobody needs: %s", phone)
          .isTrue();
    }
  }

  private static boolean isThere(Connection own) {
    return DeviceId.OUTSIDE.equals(own.device());
  }

  private boolean waitsForPhone(Call call) {
    return scene.exchange.state().outsidePhones().stream().anyMatch(each -> each.isToPlace(call));
  }

  /** Nobody is waited for at a device that is there. */
  private void checkAttended(PersonId person) {
    ExchangeState state = scene.exchange.state();
    for (CallId id : state.inHand(person)) {
      Connection own = state.call(id).of(person);
      boolean there =
          state.devices(person).stream().anyMatch(each -> each.id().equals(own.device()))
              || (isThere(own) && state.outsidePhone(person) != null);
      assertThat(there && own.answered() && !own.attended())
          .as("waited for where they are: %s in %s", own, state.call(id))
          .isFalse();
    }
  }

  /** Rule 8: whatever is offered without a further choice is accepted at that moment. */
  private void checkOffers(PersonId person) {
    ExchangeState state = scene.exchange.state();
    for (CallId id :
        Stream.concat(state.inHand(person).stream(), state.sentOn(person).stream()).toList()) {
      Offers offers = scene.exchange.offers(state.call(id), person);
      assertThat(offers.services()).as("offered once: %s", state.call(id)).doesNotHaveDuplicates();
      for (Offers.Service service : offers.services()) {
        Command command = Taking.of(service, offers, id, person);
        if (command != null) {
          assertThat(scene.exchange.decide(command, scene.now()))
              .as("rule 8: %s of %s", command, state.call(id))
              .isInstanceOf(Decision.Accepted.class);
        }
      }
    }
  }

  private Stream<DeviceId> telephones(PersonId person) {
    return scene.exchange.state().devices(person).stream()
        .filter(device -> device.kind() == DeviceKind.TELEPHONE)
        .map(Device::id);
  }

  /** Rule 8, for what delegates are offered; and nobody sees a call twice, or one of their own. */
  private void checkActedFor(PersonId person) {
    List<ActedFor> seen = scene.exchange.actedFor(person);
    assertThat(seen).extracting(ActedFor::call).doesNotHaveDuplicates();
    for (ActedFor each : seen) {
      assertThat(scene.state(each.call()).of(person)).isNull();
      Command command = new CallCommand.TakeOver(each.call(), person, Scene.WINDOW);
      assertThat(scene.exchange.decide(command, scene.now()) instanceof Decision.Accepted)
          .as("rule 8: %s", each)
          .isEqualTo(each.service() != null);
    }
  }

  /**
   * Rule 3: whoever is muted or has put the call on hold is heard by nobody, and music is alone.
   */
  private static void checkListening(Call call, Connection listener) {
    Listening listening = Listening.of(call, listener);
    assertThat(listening.voices().isEmpty())
        .as("rule 3: %s in %s", listening, call)
        .isEqualTo(listening.sound() != Listening.Sound.SPEECH);
    for (Connection other : call.connections()) {
      boolean silent =
          other.muted() || other.state() != ConnectionState.CONNECTED || !other.attended();
      assertThat(listening.voices().contains(other.leg()) && (silent || other == listener))
          .as("rule 3: %s is heard in %s", other, call)
          .isFalse();
    }
  }

  /** Never while held, never one who refused, every second of the rest. */
  private static void checkTaping(Call call, Connection owner) {
    Taping taping = Taping.of(call, owner);
    boolean wanted = TestOffice.ZOE.equals(owner.party().employee()) || owner.tape().on();
    List<Connection> others =
        call.connections().stream().filter(each -> each.answered() && each != owner).toList();
    boolean talk =
        owner.state() == ConnectionState.CONNECTED
            && owner.attended()
            && others.stream()
                .anyMatch(each -> each.state() == ConnectionState.CONNECTED && each.attended());
    boolean recordable =
        call.mailbox() == null
            && call.failure() == null
            && call.connections().stream()
                .noneMatch(
                    each ->
                        each.tape().refused()
                            || each.party().takesKeys()
                            || each.party().alwaysGoesOut());
    boolean forAnother = call.conference() && others.stream().anyMatch(each -> each.tape().on());
    boolean stopped = owner.tape().state() == Tape.State.STOPPED;
    assertThat(taping != null)
        .as("recorded for %s in %s", owner, call)
        .isEqualTo(wanted && talk && recordable && !forAnother && !stopped);
    if (taping != null) {
      for (Connection each : call.connections()) {
        boolean heard = taping.ours().contains(each.leg()) || taping.theirs().contains(each.leg());
        boolean silent = each.muted() || each.state() != ConnectionState.CONNECTED;
        assertThat(heard && silent).as("%s is recorded in %s", each, call).isFalse();
      }
    }
  }

  /** Rules 2 and 5 look at the whole life of a call. */
  private void follow(ExchangeEvent event) {
    Set<Integer> open = legs.computeIfAbsent(new CallId(event.subject()), id -> new HashSet<>());
    Set<PersonId> parts = took.computeIfAbsent(new CallId(event.subject()), id -> new TreeSet<>());
    event.accept(new Following(open, parts));
  }

  /** What each event does to the open connections of its call, and to who had a part in it. */
  private final class Following implements FewEvents<Void> {
    private final Set<Integer> open;
    private final Set<PersonId> parts;

    Following(Set<Integer> open, Set<PersonId> parts) {
      this.open = open;
      this.parts = parts;
    }

    @Override
    public Void otherwise(ExchangeEvent event) {
      return null;
    }

    private Void begins(int leg, PersonId person) {
      open.add(leg);
      add(parts, person);
      return null;
    }

    @Override
    public Void of(ReachEvent.Originated e) {
      add(parts, e.behalf());
      return begins(e.leg(), e.caller().employee());
    }

    @Override
    public Void of(CallBackEvent.CallBackRings e) {
      return begins(e.leg(), e.caller().employee());
    }

    @Override
    public Void of(ReachEvent.NetworkReached e) {
      return begins(e.leg(), null);
    }

    @Override
    public Void of(ReachEvent.Delivered e) {
      add(parts, e.line() == null ? null : e.line().employee());
      return begins(e.leg(), e.party().employee());
    }

    @Override
    public Void of(TalkEvent.Merged e) {
      assertThat(legs.get(e.other()).remove(e.otherLeg())).as("rule 2: %s", e).isTrue();
      PersonId person = scene.party(e).employee();
      if (person != null
          && scene.entries(e.other()).stream().noneMatch(part -> part.person().equals(person))) {
        took.get(e.other()).remove(person); // the announcement is a part of the call it announced
      }
      return begins(e.leg(), person);
    }

    @Override
    public Void of(MachineEvent.MailboxAnswered e) {
      parts.addAll(e.missedBy());
      return begins(e.leg(), null);
    }

    @Override
    public Void of(MachineEvent.Welcomed e) {
      return begins(e.leg(), null);
    }

    @Override
    public Void of(ReachEvent.Routed e) {
      e.diversions().forEach(each -> add(parts, each.from().employee()));
      return null;
    }

    @Override
    public Void of(ReachEvent.Blocked e) {
      parts.addAll(e.from());
      return null;
    }

    @Override
    public Void of(ReachEvent.Failed e) {
      parts.addAll(e.missedBy());
      return null;
    }

    @Override
    public Void of(TalkEvent.ConnectionCleared e) {
      assertThat(open.remove(e.leg())).as("rule 2: ends once: %s", e).isTrue();
      return null;
    }

    @Override
    public Void of(TalkEvent.CallCleared e) {
      assertThat(open).as("rule 2: every connection of %s", e.call() + " ended").isEmpty();
      assertThat(scene.entries(e.call()).stream().map(Part::person))
          .as("rule 5: one entry each for %s", e.call())
          .containsExactlyInAnyOrderElementsOf(parts);
      return null;
    }
  }

  private static void add(Set<PersonId> parts, PersonId person) {
    if (person != null) {
      parts.add(person);
    }
  }

  /** Rule 6: replaying gives the same state; and whatever only waits comes to an end. */
  void end() {
    Exchange again = new Scene().exchange;
    scene.events.forEach(again::apply);
    assertThat(again.state().snapshot()).as("rule 6").isEqualTo(scene.exchange.state().snapshot());
    scene.wait(2 * 3600);
    check();
    assertThat(scene.exchange.state().calls()).allMatch(Call::conversation);
    assertThat(scene.exchange.state().callBacks()).as("wishes end").isEmpty();
    assertThat(scene.exchange.state().outsidePhones()).allMatch(OutsidePhone::isThere);
  }
}
