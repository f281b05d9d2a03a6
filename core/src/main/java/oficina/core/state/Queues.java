package oficina.core.state;

import java.time.Instant;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import oficina.core.call.CallId;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Lately;
import oficina.core.queueing.Member;
import org.jspecify.annotations.Nullable;

/**
 * Who waits at lines that keep callers, and how their members stand. Part of {@link ExchangeState},
 * which changes it; a draft is laid over it in the same way.
 */
public final class Queues {
  /** Who is served first: by priority, then whoever has waited longest. */
  private static final Comparator<Call> ORDER =
      Comparator.<Call>comparingInt(call -> -call.place().priority())
          .thenComparing(call -> call.place().since())
          .thenComparing(call -> call.place().entered())
          .thenComparing(Call::id);

  private final @Nullable Queues beneath;
  private final Map<PersonId, Member> members = new HashMap<>();

  /** When members are done with finishing. */
  private final Agenda<PersonId> finishing = new Agenda<>();

  /** When a number last came to wait at a line, the longest ago first. */
  private final Map<GroupId, LinkedHashMap<PhoneNumber, Instant>> lately = new HashMap<>();

  /** Immutable: those who wait at each line, in the order in which they are served. */
  private Map<GroupId, List<CallId>> waiting = Map.of();

  Queues(@Nullable Queues beneath) {
    this.beneath = beneath;
    if (beneath != null) {
      waiting = beneath.waiting;
    }
  }

  /** Lines at which somebody waits. */
  public Set<GroupId> lines() {
    return waiting.keySet();
  }

  /** Calls that wait at a line, in the order in which they are served. */
  public List<CallId> waitingAt(GroupId line) {
    return waiting.getOrDefault(line, List.of());
  }

  /** How somebody stands as a member of lines. */
  public Member member(PersonId person) {
    Member own = members.get(person);
    return own != null ? own : beneath == null ? Member.NEW : beneath.member(person);
  }

  /** Whether this person is rung for a line of theirs. */
  public boolean takesPart(PersonId person, GroupId line) {
    return !member(person).rests().containsKey(line);
  }

  /** When this number last came to wait at a line; null when it has not lately. */
  public @Nullable Instant waitedLately(GroupId line, PhoneNumber number) {
    LinkedHashMap<PhoneNumber, Instant> own = lately.get(line);
    Instant at = own == null ? null : own.get(number);
    return at != null || beneath == null ? at : beneath.waitedLately(line, number);
  }

  /** Which of two calls that wait is served first. */
  public static int compare(Call one, Call other) {
    return ORDER.compare(one, other);
  }

  /** Who is done with finishing by then. Not for drafts. */
  public List<PersonId> finishedBy(Instant now) {
    return finishing.by(now);
  }

  @Nullable Instant nextDue() {
    return finishing.next();
  }

  /** A call has changed; before or after is null when there is none. */
  void index(@Nullable Call before, @Nullable Call after, Function<CallId, @Nullable Call> calls) {
    GroupId was = line(before);
    GroupId is = line(after);
    if (was != null && (!was.equals(is) || !before.place().equals(after.place()))) {
      put(was, Few.without(waitingAt(was), before.id()::equals));
    }
    if (is != null && !waitingAt(is).contains(after.id())) {
      List<Call> there = waitingAt(is).stream().<Call>map(calls::apply).toList();
      put(is, Few.plus(there, after).stream().sorted(ORDER).map(Call::id).toList());
    }
  }

  private static @Nullable GroupId line(@Nullable Call call) {
    return call == null || !call.waits() ? null : call.place().line();
  }

  private void put(GroupId line, List<CallId> calls) {
    Map<GroupId, List<CallId>> changed = new TreeMap<>(waiting);
    if (calls.isEmpty()) {
      changed.remove(line);
    } else {
      changed.put(line, calls);
    }
    waiting = Collections.unmodifiableMap(changed);
  }

  void change(PersonId person, UnaryOperator<Member> change) {
    Member before = member(person);
    Member after = change.apply(before);
    members.put(person, after);
    if (beneath == null) {
      finishing.change(person, until(before), until(after));
    }
  }

  private static @Nullable Instant until(Member member) {
    return member.finishing() == null ? null : member.finishing().until();
  }

  void came(GroupId line, PhoneNumber number, Instant at) {
    LinkedHashMap<PhoneNumber, Instant> own =
        lately.computeIfAbsent(line, each -> new LinkedHashMap<>());
    own.remove(number);
    own.put(number, at);
    Iterator<Instant> oldest = own.values().iterator();
    while (oldest.hasNext() && oldest.next().plus(Lately.REACH).isBefore(at)) {
      oldest.remove();
    }
  }

  /**
   * Takes in what earlier calls have left behind. When a member was rung last, answered or not, is
   * not kept: when they answered last counts as that.
   */
  void know(Lately lately) {
    for (Lately.Taken each : lately.taken()) {
      change(
          each.member(),
          member -> member.rungAt(each.answered()).taking(each.answered()).idleFrom(each.ended()));
    }
    lately.came().forEach(each -> came(each.line(), each.number(), each.at()));
  }

  /** Everything as text, the same for equal states. */
  @Override
  public String toString() {
    return waiting + " " + new TreeMap<>(members) + " " + finishing + " " + new HashMap<>(lately);
  }
}
