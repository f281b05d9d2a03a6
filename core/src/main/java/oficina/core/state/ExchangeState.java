package oficina.core.state;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.events.ExchangeEvent;
import oficina.core.people.PersonId;
import oficina.core.people.Status;
import oficina.core.queueing.Lately;
import org.jspecify.annotations.Nullable;

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
  /** So long after a call for help nobody who calls is kept out. */
  private static final Duration HELP_CALLS_BACK = Duration.ofHours(1);

  private final @Nullable ExchangeState beneath;
  private final Applying applying = new Applying(this);
  private final Map<CallId, Call> calls = new HashMap<>();
  private final Map<PersonId, List<CallId>> inHand = new HashMap<>();
  private final Map<PersonId, List<CallId>> sentOn = new HashMap<>();
  private final Map<PersonId, List<Device>> devices = new HashMap<>();
  private final Said said;
  private final Agenda<CallId> agenda = new Agenda<>();
  private final Queues queues;
  private int outsideLines;

  /** When somebody last called the emergency services; null when nobody has since the start. */
  private @Nullable Instant helpCalled;

  /** Immutable, because few: a draft begins with the same ones. */
  private List<CallBack> callBacks = List.of();

  /** Immutable like these, and few: outside telephones to which there is a line. */
  private List<OutsidePhone> outsidePhones = List.of();

  /** Immutable as well: the call in each taken park slot. */
  private Map<String, CallId> slots = Map.of();

  /** Immutable too: calls in which a mailbox takes a message, oldest first. */
  private List<CallId> atMailboxes = List.of();

  public ExchangeState() {
    this(null);
  }

  private ExchangeState(@Nullable ExchangeState beneath) {
    this.beneath = beneath;
    said = new Said(beneath == null ? null : beneath.said);
    queues = new Queues(beneath == null ? null : beneath.queues);
    if (beneath != null) {
      outsideLines = beneath.outsideLines;
      helpCalled = beneath.helpCalled;
      callBacks = beneath.callBacks;
      outsidePhones = beneath.outsidePhones;
      slots = beneath.slots;
      atMailboxes = beneath.atMailboxes;
    }
  }

  /** Begins with what earlier calls have left behind. */
  public void know(Lately lately) {
    queues.know(lately);
  }

  /** A state laid over this one, to be changed at will; this one stays as it is. */
  public ExchangeState draft() {
    return new ExchangeState(this);
  }

  /** What this draft is laid over; null when it is none. */
  public @Nullable ExchangeState beneath() {
    return beneath;
  }

  /** The call, or null when there is none in progress with this identity. */
  public @Nullable Call call(CallId id) {
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

  /** The devices through which this person can be reached now, in the order in which they came. */
  public List<Device> devices(PersonId person) {
    List<Device> own = devices.get(person);
    if (own != null) {
      return own;
    }
    return beneath == null ? List.of() : beneath.devices(person);
  }

  /** What this person says of themselves; null when nothing. */
  public @Nullable Status status(PersonId person) {
    return said.by(person);
  }

  /** Whose status undoes itself by then. Not for drafts. */
  public List<PersonId> statusOverBy(Instant now) {
    return said.overBy(now);
  }

  /** Whether this person has a window of the application open. */
  public boolean hasWindow(PersonId person) {
    return devices(person).stream().anyMatch(device -> device.kind() == DeviceKind.WINDOW);
  }

  /** Everybody who has a device. Not for drafts. */
  public Set<PersonId> reachable() {
    return Set.copyOf(devices.keySet());
  }

  /** Everybody's wishes to be connected with somebody as soon as they are free, oldest first. */
  public List<CallBack> callBacks() {
    return callBacks;
  }

  /** The wish with this identity, or null. */
  public @Nullable CallBack callBack(CallId request) {
    return Few.first(callBacks, each -> each.request().equals(request));
  }

  /** The outside telephones to which there is a line, or soon will be, in the order of calling. */
  public List<OutsidePhone> outsidePhones() {
    return outsidePhones;
  }

  /** The outside telephone of this person, as long as there is a line to it; else null. */
  public @Nullable OutsidePhone outsidePhone(PersonId person) {
    return Few.first(outsidePhones, each -> each.person().equals(person));
  }

  /** The outside telephone at the end of this line; null when it leads to none. */
  public @Nullable OutsidePhone outsidePhoneOn(CallId line) {
    return Few.first(outsidePhones, each -> each.line().equals(line));
  }

  /** The call in this park slot, or null when it is empty. */
  public @Nullable Call inSlot(String slot) {
    CallId id = slots.get(slot);
    return id == null ? null : call(id);
  }

  /** Who waits at lines that keep callers, and how their members stand. */
  public Queues queues() {
    return queues;
  }

  /** The calls in which a mailbox takes a message, oldest first. */
  public List<CallId> atMailboxes() {
    return atMailboxes;
  }

  /** Whether the emergency services were called so lately that they may call back. */
  public boolean calledForHelp(Instant now) {
    return helpCalled != null && helpCalled.plus(HELP_CALLS_BACK).isAfter(now);
  }

  /** How many outside lines are taken. */
  public int outsideLinesTaken() {
    return outsideLines + outsidePhones.size();
  }

  /** When the next timer runs out, or null when none runs. */
  public @Nullable Instant nextDue() {
    Instant first = earlier(earlier(agenda.next(), said.nextDue()), queues.nextDue());
    for (OutsidePhone each : outsidePhones) {
      first = earlier(first, each.due());
    }
    return first;
  }

  private static @Nullable Instant earlier(@Nullable Instant one, @Nullable Instant other) {
    return one == null || (other != null && other.isBefore(one)) ? other : one;
  }

  /** Calls and wishes with a timer that has run out by then, in the order in which they did. */
  public List<CallId> dueBy(Instant now) {
    return agenda.by(now);
  }

  /** All calls in progress, in no particular order. Not for drafts. */
  public Collection<Call> calls() {
    return calls.values();
  }

  /** Changes the state as the event says. */
  public void apply(ExchangeEvent event) {
    event.accept(applying);
  }

  // --- what Applying does -----------------------------------------------------------------------

  void put(Call call) {
    index(call(call.id()), call);
    calls.put(call.id(), call);
  }

  void remove(Call over) {
    index(over, null);
    calls.remove(over.id());
    if (beneath != null) {
      calls.put(over.id(), null);
    }
  }

  void helpCalledAt(Instant at) {
    helpCalled = at;
  }

  void add(CallBack wish) {
    callBacks = Few.plus(callBacks, wish);
    agenda.change(wish.request(), null, wish.until());
  }

  void change(CallId request, UnaryOperator<CallBack> change) {
    callBacks = Few.changed(callBacks, each -> each.request().equals(request), change);
  }

  void removeCallBack(CallId request) {
    agenda.change(request, callBack(request).until(), null);
    callBacks = Few.without(callBacks, each -> each.request().equals(request));
  }

  void add(OutsidePhone phone) {
    outsidePhones = Few.plus(outsidePhones, phone);
  }

  void change(PersonId person, UnaryOperator<OutsidePhone> change) {
    outsidePhones = Few.changed(outsidePhones, each -> each.person().equals(person), change);
  }

  void removePhone(PersonId person) {
    outsidePhones = Few.without(outsidePhones, each -> each.person().equals(person));
  }

  void came(Device device) {
    List<Device> others = without(device.person(), device.id());
    devices.put(device.person(), Few.plus(others, device));
  }

  void went(PersonId person, DeviceId gone) {
    List<Device> left = without(person, gone);
    if (left.isEmpty() && beneath == null) {
      devices.remove(person);
    } else {
      devices.put(person, left);
    }
  }

  private List<Device> without(PersonId person, DeviceId device) {
    return Few.without(devices(person), each -> each.id().equals(device));
  }

  void says(PersonId person, @Nullable Status now) {
    said.says(person, now);
  }

  // --- look-ups ---------------------------------------------------------------------------------

  /** Keeps the look-ups in step when a call changes; before or after is null when there is none. */
  private void index(@Nullable Call before, @Nullable Call after) {
    outsideLines +=
        (after == null ? 0 : after.outsideLines()) - (before == null ? 0 : before.outsideLines());
    if (beneath == null) {
      agenda.change(
          before == null ? after.id() : before.id(),
          before == null ? null : before.due(),
          after == null ? null : after.due());
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
    queues.index(before, after, this::call);
    boolean wasAtMailbox = before != null && before.mailbox() != null;
    boolean isAtMailbox = after != null && after.mailbox() != null;
    if (wasAtMailbox != isAtMailbox) {
      atMailboxes =
          isAtMailbox
              ? Few.plus(atMailboxes, after.id())
              : Few.without(atMailboxes, before.id()::equals);
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

  private void indexSlot(@Nullable Call before, @Nullable Call after) {
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
    List<CallId> before = now.apply(person);
    List<CallId> changed = in ? Few.plus(before, call) : Few.without(before, call::equals);
    if (changed.isEmpty() && beneath == null) {
      index.remove(person);
    } else {
      index.put(person, changed);
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
        outsidePhones.toString(),
        slots.toString(),
        atMailboxes.toString(),
        new TreeMap<>(devices).toString(),
        queues.toString(),
        said.toString());
  }
}
