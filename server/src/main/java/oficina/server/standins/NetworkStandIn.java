package oficina.server.standins;

import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.standins.OutsideCall.State;
import oficina.server.standins.Subscriber.Habit;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.trunk.Trunk;
import oficina.server.trunk.TrunkCall;
import oficina.server.trunk.TrunkReports;
import org.jspecify.annotations.Nullable;

/**
 * The simulated public network: subscribers who answer, do not answer, are busy or offer a menu by
 * themselves, unless a person plays them. All on the exchange's thread.
 */
final class NetworkStandIn implements Trunk {
  private static final Duration SET_UP = Duration.ofMillis(700);
  private static final Duration USUAL_TALK = Duration.ofSeconds(40);
  private static final Duration SAYS_GOODBYE = Duration.ofSeconds(3);
  private static final Duration EMERGENCY_ANSWERS = Duration.ofSeconds(2);

  private final ExchangeLoop loop;
  private final TrunkReports office;
  private final Topics topics;
  private final SubscriberVoices voices;
  private final Map<PhoneNumber, Subscriber> subscribers = new LinkedHashMap<>();

  /** How long somebody listens before they press the key they are asked for. */
  private static final Duration FINDS_THE_KEY = Duration.ofSeconds(3);

  private static final String TAKE_KEY = "1";

  private final Map<TrunkCall, OutsideCall> calls = new LinkedHashMap<>();
  private final Map<PhoneNumber, PersonId> players = new HashMap<>();

  NetworkStandIn(
      ExchangeLoop loop,
      TrunkReports office,
      Topics topics,
      SubscriberVoices voices,
      List<Subscriber> all) {
    this.loop = loop;
    this.office = office;
    this.topics = topics;
    this.voices = voices;
    all.forEach(subscriber -> subscribers.put(subscriber.number(), subscriber));
  }

  // --- what the exchange tells ------------------------------------------------------------------

  /** Calls that are being set up; whoever is let go of meanwhile is not reached. */
  private final Set<TrunkCall> settingUp = new HashSet<>();

  @Override
  public void setUp(TrunkCall call, Party to, @Nullable PhoneNumber shown) {
    settingUp.add(call);
    loop.later(SET_UP, () -> reach(call, to, shown));
  }

  private void reach(TrunkCall call, Party to, @Nullable PhoneNumber shown) {
    if (!settingUp.remove(call)) {
      return; // given up meanwhile
    }
    if (to.alwaysGoesOut()) {
      voices.emergency(call);
      office.rings(call);
      loop.later(EMERGENCY_ANSWERS, () -> office.answers(call));
      return;
    }
    PhoneNumber number = to.outsideNumber();
    Subscriber subscriber = subscribers.get(number);
    if (subscriber == null || subscriber.habit() == Habit.NOT_IN_USE) {
      office.fails(call, Cause.NUMBER_NOT_IN_USE);
    } else if (onCall(number) || (!played(number) && subscriber.habit() == Habit.BUSY)) {
      office.fails(call, Cause.BUSY);
    } else {
      OutsideCall outside = new OutsideCall(call, number, shown, true, loop.now());
      begins(outside);
      office.rings(call);
      changed(number);
      if (!played(number) && subscriber.habit() != Habit.NO_ANSWER) {
        loop.later(subscriber.answersAfter(), () -> answersByItself(outside, subscriber));
      }
    }
  }

  private void answersByItself(OutsideCall outside, Subscriber subscriber) {
    boolean rings = calls.containsKey(outside.call) && outside.state == State.RINGING;
    if (rings && !played(subscriber.number())) {
      pickUp(outside);
      if (subscriber.habit() == Habit.TAKES) {
        loop.later(FINDS_THE_KEY, () -> pressesByItself(outside));
      }
      loop.later(subscriber.talksFor(), () -> hangsUpByItself(outside));
    }
  }

  private void pressesByItself(OutsideCall outside) {
    if (calls.containsKey(outside.call) && !played(outside.subscriber)) {
      presses(outside, TAKE_KEY);
    }
  }

  private void hangsUpByItself(OutsideCall outside) {
    if (calls.containsKey(outside.call) && !played(outside.subscriber)) {
      office.clears(outside.call);
    }
  }

  private void pickUp(OutsideCall outside) {
    outside.become(State.TALKING, loop.now());
    changed(outside.subscriber);
    office.answers(outside.call);
  }

  @Override
  public void answered(TrunkCall call) {
    OutsideCall outside = calls.get(call);
    if (outside == null || outside.state == State.TALKING) {
      return;
    }
    outside.become(State.TALKING, loop.now());
    changed(outside.subscriber);
    if (!played(outside.subscriber)) {
      talksOn(outside, subscribers.get(outside.subscriber));
    }
  }

  @Override
  public void refused(TrunkCall call, Cause cause) {
    OutsideCall outside = calls.get(call);
    if (outside != null) {
      outside.become(State.REFUSED, loop.now());
      outside.reason = cause.name();
      changed(outside.subscriber);
    }
  }

  /** A machine with a menu: 1 repeats it, 0 hangs up, anything else is noted. */
  @Override
  public void digits(TrunkCall call, String digits) {
    OutsideCall outside = calls.get(call);
    if (outside == null) {
      return;
    }
    outside.digits += digits;
    voices.pressed(call, digits);
    changed(outside.subscriber);
    Subscriber subscriber = subscribers.get(outside.subscriber);
    if (subscriber != null
        && subscriber.habit() == Habit.MENU
        && !played(outside.subscriber)
        && digits.endsWith(String.valueOf(Scripts.HANGS_UP))) {
      loop.later(SAYS_GOODBYE, () -> hangsUpByItself(outside));
    }
  }

  @Override
  public void goesOn(
      TrunkCall call, Party party, boolean incoming, Stage stage, @Nullable PhoneNumber shown) {
    if (party.alwaysGoesOut() || stage == Stage.SETTING_UP) {
      setUp(call, party, shown);
      return;
    }
    PhoneNumber number = party.outsideNumber();
    OutsideCall outside = new OutsideCall(call, number, null, incoming, loop.now());
    begins(outside);
    Subscriber subscriber = subscribers.get(number);
    if (stage == Stage.TALKING) {
      outside.become(State.TALKING, loop.now());
      talksOn(outside, subscriber);
    } else if (incoming && subscriber != null && subscriber.habit() != Habit.NO_ANSWER) {
      loop.later(subscriber.answersAfter(), () -> answersByItself(outside, subscriber));
    }
  }

  /** Whoever nobody plays says what they have to say, and hangs up. */
  private void talksOn(OutsideCall outside, @Nullable Subscriber subscriber) {
    boolean silent = subscriber == null || subscriber.talksFor().isZero();
    loop.later(silent ? USUAL_TALK : subscriber.talksFor(), () -> hangsUpByItself(outside));
  }

  @Override
  public void released(TrunkCall call) {
    settingUp.remove(call);
    voices.ends(call);
    OutsideCall outside = calls.remove(call);
    if (outside != null) {
      changed(outside.subscriber);
    }
  }

  private void begins(OutsideCall outside) {
    calls.put(outside.call, outside);
    Runnable said = () -> loop.post(() -> hangsUpByItself(outside));
    voices.begins(outside, subscribers.get(outside.subscriber), said);
  }

  // --- what a person who plays a subscriber does ------------------------------------------------

  Collection<Subscriber> subscribers() {
    return subscribers.values();
  }

  /** The person who plays this subscriber, or null. */
  @Nullable PersonId player(PhoneNumber number) {
    return players.get(number);
  }

  void play(PhoneNumber number, PersonId person) {
    players.put(number, person);
    voices.played(number, true);
  }

  void leave(PhoneNumber number) {
    players.remove(number);
    voices.played(number, false);
    callsOf(number).forEach(call -> loop.later(Duration.ofSeconds(2), () -> hangsUpByItself(call)));
  }

  void leaveAll(PersonId person) {
    List<PhoneNumber> theirs =
        subscribers.keySet().stream().filter(number -> person.equals(player(number))).toList();
    theirs.forEach(this::leave);
  }

  Collection<OutsideCall> callsOf(PhoneNumber number) {
    return calls.values().stream().filter(call -> number.equals(call.subscriber)).toList();
  }

  boolean onCall(PhoneNumber number) {
    return calls.values().stream().anyMatch(call -> number.equals(call.subscriber));
  }

  boolean played(PhoneNumber number) {
    return players.containsKey(number);
  }

  /** The subscriber calls a number of the office. */
  void callOffice(PhoneNumber from, PhoneNumber to, boolean withheld) {
    TrunkCall call = new TrunkCall(UUID.randomUUID().toString());
    begins(new OutsideCall(call, from, to, false, loop.now()));
    office.arrives(call, withheld ? null : from, to);
    changed(from);
  }

  /** The subscriber has waited long enough for the office to answer. */
  void givesUp(PhoneNumber from) {
    callsOf(from).stream()
        .filter(call -> !call.incoming && call.state != State.TALKING && !played(from))
        .forEach(call -> office.clears(call.call));
  }

  /** The subscriber presses keys that they are told while they wait, or are asked for before. */
  void pressesWaiting(PhoneNumber from, String keys) {
    callsOf(from).stream()
        .filter(call -> call.takesKeys() && call.state != State.TALKING && !played(from))
        .forEach(call -> presses(call, keys));
  }

  void answer(OutsideCall outside) {
    pickUp(outside);
  }

  void presses(OutsideCall outside, String digits) {
    office.keys(outside.call, digits);
  }

  void hangUp(OutsideCall outside) {
    if (outside.incoming && outside.state == State.RINGING) {
      office.fails(outside.call, Cause.DECLINED);
    } else {
      office.clears(outside.call);
    }
  }

  private void changed(@Nullable PhoneNumber number) {
    PersonId player = players.get(number);
    if (player != null) {
      topics.tell(player, Topic.OUTSIDE);
    }
  }
}
