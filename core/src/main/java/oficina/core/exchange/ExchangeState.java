package oficina.core.exchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.exchange.ExchangeEvent.CallCleared;
import oficina.core.exchange.ExchangeEvent.ConnectionCleared;
import oficina.core.exchange.ExchangeEvent.Delivered;
import oficina.core.exchange.ExchangeEvent.DigitsSent;
import oficina.core.exchange.ExchangeEvent.Established;
import oficina.core.exchange.ExchangeEvent.Failed;
import oficina.core.exchange.ExchangeEvent.Held;
import oficina.core.exchange.ExchangeEvent.HoldReminded;
import oficina.core.exchange.ExchangeEvent.Merged;
import oficina.core.exchange.ExchangeEvent.Muted;
import oficina.core.exchange.ExchangeEvent.NetworkReached;
import oficina.core.exchange.ExchangeEvent.Originated;
import oficina.core.exchange.ExchangeEvent.Retrieved;
import oficina.core.exchange.ExchangeEvent.SentOn;
import oficina.core.exchange.ExchangeEvent.Silenced;
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

  public ExchangeState() {
    this(null);
  }

  private ExchangeState(ExchangeState beneath) {
    this.beneath = beneath;
    this.outsideLines = beneath == null ? 0 : beneath.outsideLines;
  }

  ExchangeState draft() {
    return new ExchangeState(this);
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

  /** How many outside lines are taken. */
  public int outsideLinesTaken() {
    return outsideLines;
  }

  /** When the next timer runs out, or null when none runs. */
  public Instant nextDue() {
    return agenda.isEmpty() ? null : agenda.first().at();
  }

  /** Calls with a timer that has run out by then, in the order in which they did. */
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
      Connection caller =
          Connection.begun(
              e.leg(), e.caller(), e.device(), ConnectionState.CONNECTED, e.at(), null);
      put(
          new Call(
              e.call(),
              e.caller(),
              e.called(),
              e.callerId(),
              e.at(),
              null,
              List.of(caller),
              e.leg() + 1,
              Set.of(),
              null,
              e.afterAnswer(),
              e.announces(),
              null));
      return;
    }
    Call call = call(event.call());
    if (event instanceof NetworkReached e) {
      put(
          call.plus(
              begun(
                  call,
                  e.leg(),
                  e.party(),
                  ConnectionState.INITIATED,
                  e.at(),
                  e.until(),
                  e.party())));
    } else if (event instanceof Delivered e) {
      Connection reached = call.leg(e.leg());
      put(
          reached == null
              ? call.plus(
                  begun(
                      call,
                      e.leg(),
                      e.party(),
                      ConnectionState.ALERTING,
                      e.at(),
                      e.until(),
                      e.line()))
              : call.replacing(reached.to(ConnectionState.ALERTING, e.at(), e.until())));
    } else if (event instanceof Silenced e) {
      put(call.replacing(call.leg(e.leg()).quiet()));
    } else if (event instanceof Established e) {
      put(call.replacing(call.leg(e.leg()).establishedOn(e.device(), e.at())).answeredAt(e.at()));
    } else if (event instanceof Held e) {
      put(call.replacing(call.leg(e.leg()).to(ConnectionState.HOLD, e.at(), e.remindAt())));
    } else if (event instanceof HoldReminded e) {
      put(call.replacing(call.leg(e.leg()).afterReminder()));
    } else if (event instanceof Retrieved e) {
      put(call.replacing(call.leg(e.leg()).to(ConnectionState.CONNECTED, e.at(), null)));
    } else if (event instanceof Muted e) {
      put(call.replacing(call.leg(e.leg()).muted(e.on())));
    } else if (event instanceof SentOn e) {
      put(call.sentOn(e.sent()));
    } else if (event instanceof Merged e) {
      merge(call, call(e.other()), e);
    } else if (event instanceof Failed e) {
      put(call.failing(new Call.Failure(e.cause(), e.until()), e.missedBy()));
    } else if (event instanceof ConnectionCleared e) {
      put(call.without(call.leg(e.leg())));
    } else if (event instanceof CallCleared) {
      index(call, null);
      calls.remove(call.id());
      if (beneath != null) {
        calls.put(call.id(), null);
      }
    } else if (!(event instanceof DigitsSent)) {
      throw new IllegalStateException("unknown event " + event);
    }
  }

  private static Connection begun(
      Call call, int leg, Party party, ConnectionState state, Instant at, Instant due, Party line) {
    PersonId sender = call.sent() == null ? null : call.sent().by();
    return Connection.begun(leg, party, null, state, at, due).on(line, sender);
  }

  private void merge(Call call, Call other, Merged e) {
    Connection moved = other.leg(e.otherLeg());
    put(other.without(moved));
    Call both = call.plus(moved.as(e.leg()).on(moved.line(), e.by()));
    put(moved.answered() ? both : both.sendingAfterAnswer(other.afterAnswer()));
  }

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
        new TreeMap<>(sentOn).toString());
  }
}
