package oficina.server.standins;

import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.call.Party;
import oficina.core.exchange.Call;
import oficina.core.exchange.Command;
import oficina.core.exchange.Connection;
import oficina.core.exchange.ConnectionState;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.push.Pushes;
import oficina.server.standins.OutsideCall.State;
import oficina.server.standins.Subscriber.Habit;

/**
 * The simulated public network: subscribers who answer, do not answer, are busy or offer a menu by
 * themselves, unless a person plays them. All on the exchange's thread.
 */
final class NetworkStandIn implements OutsideNetwork {
  /** Whoever brings a call in is its first party. */
  private static final int CALLER = 1;

  private static final Duration SET_UP = Duration.ofMillis(700);
  private static final Duration USUAL_TALK = Duration.ofSeconds(40);
  private static final Duration EMERGENCY_ANSWERS = Duration.ofSeconds(2);

  private final ExchangeLoop loop;
  private final Pushes pushes;
  private final Map<PhoneNumber, Subscriber> subscribers = new LinkedHashMap<>();
  private final Set<OutsideCall> calls = new LinkedHashSet<>();
  private final Map<PhoneNumber, PersonId> players = new HashMap<>();

  NetworkStandIn(ExchangeLoop loop, Pushes pushes, List<Subscriber> all) {
    this.loop = loop;
    this.pushes = pushes;
    all.forEach(subscriber -> subscribers.put(subscriber.number(), subscriber));
  }

  // --- what the exchange tells ------------------------------------------------------------------

  @Override
  public void setUp(CallId call, int leg, Party to, PhoneNumber shown) {
    if (to instanceof Party.Emergency) {
      loop.later(SET_UP, () -> loop.run(new Command.NetworkRings(call, leg)));
      loop.later(
          SET_UP.plus(EMERGENCY_ANSWERS), () -> loop.run(new Command.NetworkAnswers(call, leg)));
      return;
    }
    PhoneNumber number = ((Party.Outside) to).number();
    loop.later(SET_UP, () -> reach(call, leg, number, shown));
  }

  private void reach(CallId call, int leg, PhoneNumber number, PhoneNumber shown) {
    if (loop.call(call) == null || loop.call(call).leg(leg) == null) {
      return; // given up meanwhile
    }
    Subscriber subscriber = subscribers.get(number);
    if (subscriber == null || subscriber.habit() == Habit.NOT_IN_USE) {
      loop.run(new Command.NetworkFails(call, leg, Cause.NUMBER_NOT_IN_USE));
    } else if (onCall(number) || (!played(number) && subscriber.habit() == Habit.BUSY)) {
      loop.run(new Command.NetworkFails(call, leg, Cause.BUSY));
    } else {
      OutsideCall outside = new OutsideCall(call, leg, number, shown, true, loop.now());
      calls.add(outside);
      loop.run(new Command.NetworkRings(call, leg));
      changed(number);
      if (!played(number) && subscriber.habit() != Habit.NO_ANSWER) {
        loop.later(subscriber.answersAfter(), () -> answersByItself(outside, subscriber));
      }
    }
  }

  private void answersByItself(OutsideCall outside, Subscriber subscriber) {
    boolean rings = calls.contains(outside) && outside.state == State.RINGING;
    if (rings && !played(subscriber.number())) {
      pickUp(outside);
      loop.later(subscriber.talksFor(), () -> hangsUpByItself(outside));
    }
  }

  private void hangsUpByItself(OutsideCall outside) {
    if (calls.contains(outside) && !played(outside.subscriber)) {
      loop.run(new Command.NetworkClears(outside.call, outside.leg));
    }
  }

  private OutsideCall find(CallId call, int leg) {
    return calls.stream()
        .filter(outside -> outside.call.equals(call) && outside.leg == leg)
        .findFirst()
        .orElse(null);
  }

  private void pickUp(OutsideCall outside) {
    outside.become(State.TALKING, loop.now());
    changed(outside.subscriber);
    loop.run(new Command.NetworkAnswers(outside.call, outside.leg));
  }

  @Override
  public void rings(CallId call) {
    // The subscriber has heard it ring since calling.
  }

  @Override
  public void answered(CallId call) {
    OutsideCall outside = find(call, CALLER);
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
  public void refused(CallId call, Cause cause) {
    OutsideCall outside = find(call, CALLER);
    if (outside != null) {
      outside.become(State.REFUSED, loop.now());
      outside.reason = cause.name();
      changed(outside.subscriber);
    }
  }

  /** A machine with a menu: 1 repeats it, 0 hangs up, anything else is noted. */
  @Override
  public void digits(CallId call, int leg, String digits) {
    OutsideCall outside = find(call, leg);
    if (outside == null) {
      return;
    }
    outside.digits += digits;
    changed(outside.subscriber);
    Subscriber subscriber = subscribers.get(outside.subscriber);
    if (subscriber != null
        && subscriber.habit() == Habit.MENU
        && !played(outside.subscriber)
        && digits.endsWith("0")) {
      loop.later(Duration.ofSeconds(1), () -> hangsUpByItself(outside));
    }
  }

  @Override
  public void moved(CallId from, int fromLeg, CallId to, int toLeg) {
    OutsideCall outside = find(from, fromLeg);
    if (outside != null) {
      outside.call = to;
      outside.leg = toLeg;
    }
  }

  @Override
  public void takenUp(Call call, Connection party) {
    boolean emergency = party.party() instanceof Party.Emergency;
    if (emergency || party.state() == ConnectionState.INITIATED) {
      setUp(call.id(), party.leg(), party.party(), call.callerId().number());
      return;
    }
    PhoneNumber number = ((Party.Outside) party.party()).number();
    boolean incoming = party.leg() != CALLER || call.caller().employee() != null;
    OutsideCall outside =
        new OutsideCall(call.id(), party.leg(), number, null, incoming, loop.now());
    calls.add(outside);
    Subscriber subscriber = subscribers.get(number);
    if (party.rings()) {
      if (subscriber != null && subscriber.habit() != Habit.NO_ANSWER) {
        loop.later(subscriber.answersAfter(), () -> answersByItself(outside, subscriber));
      }
    } else if (call.answered() != null) {
      outside.become(State.TALKING, loop.now());
      talksOn(outside, subscriber);
    }
  }

  /** Whoever nobody plays says what they have to say, and hangs up. */
  private void talksOn(OutsideCall outside, Subscriber subscriber) {
    boolean silent = subscriber == null || subscriber.talksFor().isZero();
    loop.later(silent ? USUAL_TALK : subscriber.talksFor(), () -> hangsUpByItself(outside));
  }

  @Override
  public void released(CallId call, int leg) {
    OutsideCall outside = find(call, leg);
    if (outside != null) {
      calls.remove(outside);
      changed(outside.subscriber);
    }
  }

  // --- what a person who plays a subscriber does ------------------------------------------------

  Collection<Subscriber> subscribers() {
    return subscribers.values();
  }

  /** The person who plays this subscriber, or null. */
  PersonId player(PhoneNumber number) {
    return players.get(number);
  }

  void play(PhoneNumber number, PersonId person) {
    players.put(number, person);
  }

  void leave(PhoneNumber number) {
    players.remove(number);
    callsOf(number).forEach(call -> loop.later(Duration.ofSeconds(2), () -> hangsUpByItself(call)));
  }

  void leaveAll(PersonId person) {
    List<PhoneNumber> theirs =
        subscribers.keySet().stream().filter(number -> person.equals(player(number))).toList();
    theirs.forEach(this::leave);
  }

  Collection<OutsideCall> callsOf(PhoneNumber number) {
    return calls.stream().filter(call -> call.subscriber.equals(number)).toList();
  }

  boolean onCall(PhoneNumber number) {
    return calls.stream().anyMatch(call -> call.subscriber.equals(number));
  }

  boolean played(PhoneNumber number) {
    return players.containsKey(number);
  }

  /** The subscriber calls a number of the office. */
  void callOffice(PhoneNumber from, PhoneNumber to, boolean withheld) {
    CallId call = new CallId(UUID.randomUUID().toString());
    calls.add(new OutsideCall(call, CALLER, from, to, false, loop.now()));
    loop.run(new Command.Arrive(call, withheld ? null : from, to));
    changed(from);
  }

  void answer(OutsideCall outside) {
    pickUp(outside);
  }

  void hangUp(OutsideCall outside) {
    if (outside.incoming && outside.state == State.RINGING) {
      loop.run(new Command.NetworkFails(outside.call, outside.leg, Cause.DECLINED));
    } else {
      loop.run(new Command.NetworkClears(outside.call, outside.leg));
    }
  }

  private void changed(PhoneNumber number) {
    PersonId player = players.get(number);
    if (player != null) {
      pushes.outsideChanged(player);
    }
  }
}
