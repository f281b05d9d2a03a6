package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import oficina.core.call.CallId;
import oficina.core.call.CallerId;
import oficina.core.exchange.ExchangeEvent.CallBackArmed;
import oficina.core.exchange.ExchangeEvent.CallBackCleared;
import oficina.core.exchange.ExchangeEvent.CallBackRequested;
import oficina.core.exchange.ExchangeEvent.CallBackRings;
import oficina.core.exchange.ExchangeEvent.CallCleared;
import oficina.core.exchange.ExchangeEvent.Merged;
import oficina.core.exchange.ExchangeEvent.Originated;
import oficina.core.people.PersonId;

/**
 * All calls in progress. {@link #apply} is the only thing that changes it, so applying the same
 * events gives the same state.
 *
 * <p>A draft is a second state laid over this one: what is applied to the draft leaves this one
 * untouched. Deciding works on a draft, so that one command can have several consequences that
 * build on each other without any side effect, at a cost that does not depend on how many calls are
 * in progress.
 *
 * <p>Not safe for use by several threads.
 */
public final class ExchangeState {
  private record Due(Instant at, CallId call) {}

  private final ExchangeState beneath;
  private final Map<CallId, Call> calls = new HashMap<>();
  private final Map<PersonId, List<CallId>> inHand = new HashMap<>();
  private final Map<PersonId, List<CallId>> sentOn = new HashMap<>();
  private final TreeSet<Due> agenda =
      new TreeSet<>(Comparator.comparing(Due::at).thenComparing(Due::call));
  private int outsideLines;

  /** Immutable, because few: a draft begins with the same ones. */
  private List<CallBack> callBacks = List.of();

  /** Immutable as well: the call in each taken park slot. */
  private Map<String, CallId> slots = Map.of();

  public ExchangeState() {
    this(null);
  }

  private ExchangeState(ExchangeState beneath) {
    this.beneath = beneath;
    if (beneath != null) {
      outsideLines = beneath.outsideLines;
      callBacks = beneath.callBacks;
      slots = beneath.slots;
    }
  }

  ExchangeState draft() {
    return new ExchangeState(this);
  }

  /** What this draft is laid over; null when it is none. */
  ExchangeState beneath() {
    return beneath;
  }

  /** The call, or null when there is none in progress with this identity. */
  public Call call(CallId id) {
    Call own = calls.get(id);
    return own != null || beneath == null || calls.containsKey(id) ? own : beneath.call(id);
  }

  /** Identities of the calls in which this person has a connection, oldest first. */
  public List<CallId> inHand(PersonId person) {
    List<CallId> own = inHand.get(person);
    if (own != null) {
      return own;
    }
    return beneath == null ? List.of() : beneath.inHand(person);
  }

  /** Identities of the calls this person sent on that nobody has answered yet. */
  public List<CallId> sentOn(PersonId person) {
    List<CallId> own = sentOn.get(person);
    if (own != null) {
      return own;
    }
    return beneath == null ? List.of() : beneath.sentOn(person);
  }

  /** Everybody's wishes to be connected with somebody as soon as they are free, oldest first. */
  public List<CallBack> callBacks() {
    return callBacks;
  }

  /** The wish with this identity, or null. */
  public CallBack callBack(CallId request) {
    return callBacks.stream()
        .filter(callBack -> callBack.request().equals(request))
        .findFirst()
        .orElse(null);
  }

  /** The call in this park slot, or null when it is empty. */
  public Call inSlot(String slot) {
    CallId id = slots.get(slot);
    return id == null ? null : call(id);
  }

  /** How many outside lines are taken. */
  public int outsideLinesTaken() {
    return outsideLines;
  }

  /** When the next timer runs out, or null when none runs. */
  public Instant nextDue() {
    return agenda.isEmpty() ? null : agenda.first().at();
  }

  /** Calls and wishes with a timer that has run out by then, in the order in which they did. */
  List<CallId> dueBy(Instant now) {
    List<CallId> due = new ArrayList<>();
    for (Due next : agenda) {
      if (next.at().isAfter(now)) {
        break;
      }
      due.add(next.call());
    }
    return due;
  }

  /** All calls in progress, in no particular order. Not for drafts. */
  public Collection<Call> calls() {
    return calls.values();
  }

  /** Changes the state as the event says. */
  public void apply(ExchangeEvent event) {
    if (event instanceof Originated e) {
      originated(e);
    } else if (event instanceof CallBackRequested e) {
      requested(e);
    } else if (event instanceof CallBackArmed) {
      change(event.call(), CallBack::arm);
    } else if (event instanceof CallBackRings e) {
      callBackRings(e);
    } else if (event instanceof CallBackCleared) {
      callBackCleared(event.call());
    } else if (event instanceof CallCleared) {
      over(call(event.call()));
    } else if (event instanceof Merged e) {
      put(merged(call(e.call()), call(e.other()), e));
    } else {
      put(Changes.of(call(event.call()), event));
    }
  }

  private void originated(Originated e) {
    Connection caller =
        Connection.begun(e.leg(), e.caller(), e.device(), ConnectionState.CONNECTED, e.at(), null);
    put(
        new Call(
            e.call(),
            new Call.Origin(
                e.caller(), e.called(), e.callerId(), e.at(), e.announces(), /* callBack= */ null),
            List.of(caller),
            e.leg() + 1,
            Set.of(),
            Standing.atFirst(e.afterAnswer())));
  }

  private void over(Call call) {
    index(call, null);
    calls.remove(call.id());
    if (beneath != null) {
      calls.put(call.id(), null);
    }
    if (call.origin().callBack() != null) {
      change(call.origin().callBack(), CallBack::waitOn);
    }
  }

  /** Takes a party out of the other call and into this one. */
  private Call merged(Call call, Call other, Merged e) {
    Connection moved = other.leg(e.otherLeg());
    put(other.without(moved));
    Call both = call.plus(moved.as(e.leg()).on(moved.line(), e.by()));
    if (!moved.answered()) {
      return both.with(both.standing().sendingAfterAnswer(other.afterAnswer()));
    }
    if (both.answered() == null) {
      both = both.with(both.standing().answeredAt(e.at()));
    }
    boolean begins = e.stays() && both.conference() && both.starter() == null;
    return begins ? both.with(both.standing().startedBy(e.by())) : both;
  }

  // --- call backs -------------------------------------------------------------------------------

  private void requested(CallBackRequested e) {
    CallBack callBack = new CallBack(e.call(), e.by(), e.on(), e.until(), !e.afterUse(), 0, false);
    List<CallBack> more = new ArrayList<>(callBacks);
    more.add(callBack);
    callBacks = List.copyOf(more);
    agenda.add(new Due(e.until(), e.call()));
  }

  private void callBackRings(CallBackRings e) {
    change(e.request(), CallBack::begin);
    Connection caller =
        Connection.begun(e.leg(), e.caller(), null, ConnectionState.ALERTING, e.at(), e.until());
    put(
        new Call(
            e.call(),
            new Call.Origin(e.caller(), e.called(), CallerId.WITHHELD, e.at(), null, e.request()),
            List.of(caller),
            e.leg() + 1,
            Set.of(),
            Standing.atFirst("")));
  }

  private void callBackCleared(CallId request) {
    agenda.remove(new Due(callBack(request).until(), request));
    callBacks = callBacks.stream().filter(callBack -> !callBack.request().equals(request)).toList();
  }

  private void change(CallId request, UnaryOperator<CallBack> change) {
    callBacks =
        callBacks.stream()
            .map(each -> each.request().equals(request) ? change.apply(each) : each)
            .toList();
  }

  // --- look-ups ---------------------------------------------------------------------------------

  private void put(Call call) {
    index(call(call.id()), call);
    calls.put(call.id(), call);
  }

  /** Keeps the look-ups in step when a call changes; before or after is null when there is none. */
  private void index(Call before, Call after) {
    outsideLines +=
        (after == null ? 0 : after.outsideLines()) - (before == null ? 0 : before.outsideLines());
    if (beneath == null) {
      Instant dueBefore = before == null ? null : before.due();
      Instant dueNow = after == null ? null : after.due();
      if (dueBefore != null && !dueBefore.equals(dueNow)) {
        agenda.remove(new Due(dueBefore, before.id()));
      }
      if (dueNow != null && !dueNow.equals(dueBefore)) {
        agenda.add(new Due(dueNow, after.id()));
      }
    }
    if (before != null) {
      for (Connection connection : before.connections()) {
        PersonId person = connection.party().employee();
        if (person != null && (after == null || after.of(person) == null)) {
          move(inHand, this::inHand, person, before.id(), false);
        }
      }
    }
    if (after != null) {
      for (Connection connection : after.connections()) {
        PersonId person = connection.party().employee();
        if (person != null && (before == null || before.of(person) == null)) {
          move(inHand, this::inHand, person, after.id(), true);
        }
      }
    }
    indexSlot(before, after);
    PersonId was = before == null || before.sent() == null ? null : before.sent().by();
    PersonId is = after == null || after.sent() == null ? null : after.sent().by();
    if (!Objects.equals(was, is)) {
      if (was != null) {
        move(sentOn, this::sentOn, was, before.id(), false);
      }
      if (is != null) {
        move(sentOn, this::sentOn, is, after.id(), true);
      }
    }
  }

  private void indexSlot(Call before, Call after) {
    String was = before == null || before.parked() == null ? null : before.parked().slot();
    String is = after == null || after.parked() == null ? null : after.parked().slot();
    if (Objects.equals(was, is)) {
      return;
    }
    Map<String, CallId> changed = new TreeMap<>(slots);
    if (was != null) {
      changed.remove(was);
    }
    if (is != null) {
      changed.put(is, after.id());
    }
    slots = Collections.unmodifiableMap(changed);
  }

  /** Adds a call to what a person has to do with, or takes it away. */
  private void move(
      Map<PersonId, List<CallId>> index,
      Function<PersonId, List<CallId>> now,
      PersonId person,
      CallId call,
      boolean in) {
    List<CallId> changed = new ArrayList<>(now.apply(person));
    if (in) {
      changed.add(call);
    } else {
      changed.remove(call);
    }
    if (changed.isEmpty() && beneath == null) {
      index.remove(person);
    } else {
      index.put(person, List.copyOf(changed));
    }
  }

  /** Everything in the state as text, the same for equal states: for comparing after a replay. */
  public String snapshot() {
    return String.join(
        " ",
        new TreeMap<>(calls).values().toString(),
        agenda.toString(),
        Integer.toString(outsideLines),
        new TreeMap<>(inHand).toString(),
        new TreeMap<>(sentOn).toString(),
        callBacks.toString(),
        slots.toString());
  }
}
