package oficina.server.queues;

import java.time.Duration;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.figures.Staffing;
import oficina.core.office.Office;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.seen.QueueUse;
import oficina.core.state.Call;
import oficina.core.state.ExchangeState;
import oficina.server.calls.Commands;
import oficina.server.exchange.ExchangeListener;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.exchange.Told;
import oficina.server.exchange.Turn;
import oficina.server.figures.HandlingTimes;
import oficina.server.office.OfficeData;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * How it stands at each line that keeps callers, drawn up anew when something has happened there,
 * however many look at it.
 */
@Component
public class QueueBoard implements ExchangeListener {
  /**
   * At a busy line something happens many times a second, and each page is told all of it. The
   * first change is told at once, those that follow it together.
   */
  private static final Duration BETWEEN = Duration.ofSeconds(1);

  private final OfficeData office;
  private final ExchangeLoop loop;
  private final Topics topics;
  private final HandlingTimes times;
  private final Map<GroupId, QueueUse> drawn = new ConcurrentHashMap<>();

  /** Lines of which pages have just been told; true when something has happened there since. */
  private final Map<GroupId, Boolean> justTold = new ConcurrentHashMap<>();

  QueueBoard(OfficeData office, ExchangeLoop loop, Topics topics, HandlingTimes times) {
    this.office = office;
    this.loop = loop;
    this.topics = topics;
    this.times = times;
    loop.listen(this);
    office.onChange(this::changed);
  }

  @Override
  public Turn turn() {
    return Turn.NOTES;
  }

  @Override
  public void takenUp(ExchangeState state) {
    drawAll();
  }

  @Override
  public void happened(Told told) {
    Set<GroupId> lines = new LinkedHashSet<>();
    for (Told.Touched call : told.calls()) {
      add(lines, call.before());
      add(lines, call.after());
    }
    for (PersonId person : told.people()) {
      lines.addAll(office.directory().groupsOf(person));
    }
    draw(lines);
  }

  private static void add(Set<GroupId> lines, @Nullable Call call) {
    if (call != null && call.place() != null) {
      lines.add(call.place().line());
    }
  }

  /** What lines are called, who is in them and what they have decided is on every board. */
  private void changed(Office before, Office after) {
    loop.post(
        () -> {
          drawAll();
          if (!onBoards(before).equals(onBoards(after))) {
            topics.tellAll(Topic.QUEUES);
          }
        });
  }

  private static List<Object> onBoards(Office office) {
    return List.of(
        List.copyOf(office.directory().groups()),
        List.copyOf(office.directory().people()),
        office.directions().queues());
  }

  private void drawAll() {
    drawn.keySet().retainAll(queues().keySet());
    draw(queues().keySet());
  }

  private Map<GroupId, Queue> queues() {
    return office.now().directions().queues();
  }

  private void draw(Collection<GroupId> lines) {
    for (GroupId line : lines) {
      Group group = office.directory().group(line).orElse(null);
      if (group == null || !queues().containsKey(line)) {
        continue;
      }
      QueueUse now = QueueUse.of(group, loop.state());
      if (!now.equals(drawn.put(line, now))) {
        tell(group);
      }
    }
  }

  private void tell(Group group) {
    if (justTold.replace(group.id(), true) == null) {
      justTold.put(group.id(), false);
      topics.tell(whoSee(group), Topic.QUEUES);
      loop.later(BETWEEN, () -> tellRest(group.id()));
    }
  }

  private void tellRest(GroupId line) {
    if (Boolean.TRUE.equals(justTold.remove(line))) {
      office
          .directory()
          .group(line)
          .filter(each -> queues().containsKey(line))
          .ifPresent(this::tell);
    }
  }

  private Set<PersonId> whoSee(Group group) {
    Set<PersonId> all = new LinkedHashSet<>(group.members());
    all.addAll(queues().get(group.id()).leads());
    return all;
  }

  /**
   * How it stands at a line; null when it keeps no callers, or the server has just been started.
   */
  private @Nullable QueueUse at(GroupId line) {
    return queues().containsKey(line) ? drawn.get(line) : null;
  }

  /** The same for whoever asks beside the exchange, and waits until it has been drawn up. */
  QueueUse now(Group group) {
    QueueUse known = at(group.id());
    return known != null ? known : Commands.await(loop.ask(() -> QueueUse.of(group, loop.state())));
  }

  /** The same in figures, for whoever is about to send somebody there. */
  public @Nullable QueueFigures figures(GroupId line) {
    QueueUse now = at(line);
    if (now == null) {
      return null;
    }
    Duration expected = expectedWait(line, now.waiting().size() + 1);
    return new QueueFigures(
        now.waiting().size(),
        now.free(),
        now.longestSince(),
        expected == null ? null : expected.toSeconds());
  }

  /** Members of a queue, those who are free before the others; of any other line nobody. */
  public List<PersonId> freeFirst(Group group) {
    QueueUse now = at(group.id());
    return now == null
        ? List.of()
        : now.members().stream()
            .sorted(Comparator.comparing(each -> each.state() != QueueUse.State.FREE))
            .map(QueueUse.Standing::person)
            .toList();
  }

  /** What a line has decided; null when it has just decided to keep no callers any more. */
  @Nullable Queue queue(Group group) {
    return queues().get(group.id());
  }

  /** Lines that keep callers, in the order of the directory. */
  List<Group> lines() {
    return office.directory().groups().stream()
        .filter(group -> queues().containsKey(group.id()))
        .toList();
  }

  /**
   * How long somebody would wait at this place of a line; null as long as nobody knows how long
   * calls take there.
   *
   * @param place from 1
   */
  public @Nullable Duration expectedWait(GroupId line, int place) {
    QueueUse now = at(line);
    Duration handling = times.of(line);
    if (now == null || handling == null || now.serving() == 0) {
      return null;
    }
    boolean atOnce = now.free() >= place;
    return atOnce ? Duration.ZERO : Staffing.expectedWait(place, now.serving(), handling);
  }
}
