package oficina.server.push;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.notices.Notice;
import oficina.core.people.PersonId;
import oficina.server.desk.DeskFeed;
import oficina.server.desk.DeskView;
import oficina.server.desk.Desks;
import oficina.server.door.Texts;
import oficina.server.journal.JournalWriter;
import oficina.server.keeping.Disk;
import oficina.server.office.OfficeData;
import oficina.server.returning.ReturnLists;
import oficina.server.sound.SpeakingFeed;
import oficina.server.time.MovableClock;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Tells open pages what has changed, each what its person is to see. */
@Component
public class Pushes implements DeskFeed, SpeakingFeed, Topics.Follower {
  private final OfficeData office;
  private final MovableClock clock;
  private final JsonMapper json;
  private final NoticeViews notices;
  private final JournalWriter journal;
  private final Disk disk;
  private final ReturnLists returnLists;
  private final Desks desks;
  private final Topics topics;

  /** Of many pages few are concerned by what happens: they are found by whose they are. */
  private final Map<PersonId, Set<OpenPage>> pages = new ConcurrentHashMap<>();

  private final Map<CallId, Spoken> speaking = new ConcurrentHashMap<>();
  private final String run = UUID.randomUUID().toString();

  Pushes(
      OfficeData office,
      MovableClock clock,
      JsonMapper json,
      NoticeViews notices,
      JournalWriter journal,
      Disk disk,
      ReturnLists returnLists,
      Desks desks,
      Topics topics) {
    this.office = office;
    this.clock = clock;
    this.json = json;
    this.notices = notices;
    this.journal = journal;
    this.disk = disk;
    this.returnLists = returnLists;
    this.desks = desks;
    this.topics = topics;
    topics.follow(this);
    clock.onMove(this::sayAlive);
    journal.onChange(state -> sayAlive());
    disk.onChange(this::sayAlive);
  }

  @Override
  public void publish(Changes changes) {
    boolean somebodyIsNew = false;
    for (DeskView desk : changes.desks()) {
      somebodyIsNew |= publish(desk);
    }
    if (somebodyIsNew) {
      changed(Topic.PEOPLE);
    }
    if (changes.shelf() != null) {
      desks.put(changes.shelf());
      changed(Topic.SHELF);
    }
    for (Notice notice : changes.notices()) {
      tell(notice.to(), notices.of(notice));
    }
    changes.parts().forEach(part -> tell(part.person(), Topic.HISTORY));
    returnLists.takeChanged(office.directory()).forEach(person -> tell(person, Topic.TO_RETURN));
  }

  /** Shows one desk, and says whether it was not there before. */
  private boolean publish(DeskView desk) {
    DeskView before = desks.put(desk);
    desk.differsIn(before).forEach(topic -> tell(desk.person(), topic));
    if (before != null && !before.board().equals(desk.board())) {
      opened().forEach(page -> page.tellOf(desk.person()));
    }
    return before == null;
  }

  @Override
  public void forget(PersonId person) {
    desks.forget(person);
    opened(person).forEach(OpenPage::signOut);
    changed(Topic.PEOPLE);
  }

  /** Who speaks in a call, and who is to see it. */
  private record Spoken(Set<PersonId> whom, List<Integer> legs) {}

  @Override
  public void speaking(CallId call, Set<PersonId> whom, List<Integer> legs) {
    if (legs.isEmpty()) {
      speaking.remove(call);
    } else {
      speaking.put(call, new Spoken(whom, legs));
    }
    changed(whom, Topic.SPEAKING);
  }

  private List<Push.Speaking> speaking(PersonId person) {
    return speaking.entrySet().stream()
        .filter(each -> each.getValue().whom().contains(person))
        .map(each -> new Push.Speaking(each.getKey().value(), each.getValue().legs()))
        .toList();
  }

  /** Tells every page that the server is there, its time, and how the service stands. */
  void sayAlive() {
    changed(Topic.SERVICE);
  }

  @Override
  public void toBeTold(PersonId to, String what, Map<String, String> about) {
    tell(to, new NoticeView(what, about, null));
  }

  void add(OpenPage page) {
    pages.compute(
        page.person(),
        (person, mine) -> {
          Set<OpenPage> all = mine == null ? ConcurrentHashMap.newKeySet() : mine;
          all.add(page);
          return all;
        });
    page.tellEverything();
  }

  void remove(OpenPage page) {
    pages.computeIfPresent(
        page.person(),
        (person, mine) -> {
          mine.remove(page);
          return mine.isEmpty() ? null : mine;
        });
  }

  /** The open pages like this. */
  Collection<OpenPage> opened(Predicate<OpenPage> wanted) {
    return opened().filter(wanted).toList();
  }

  /** How many pages are open. */
  public int openPages() {
    return pages.values().stream().mapToInt(Set::size).sum();
  }

  /** The open pages of somebody. */
  Collection<OpenPage> opened(PersonId person) {
    return pages.getOrDefault(person, Set.of());
  }

  private Stream<OpenPage> opened() {
    return pages.values().stream().flatMap(Set::stream);
  }

  private void tell(PersonId person, NoticeView notice) {
    opened(person).forEach(page -> page.tell(notice));
  }

  private void tell(PersonId person, Topic topic) {
    opened(person).forEach(page -> page.tell(topic));
  }

  @Override
  public void changed(Collection<PersonId> people, Topic topic) {
    people.forEach(person -> tell(person, topic));
  }

  @Override
  public void changed(Topic topic) {
    opened().forEach(page -> page.tell(topic));
  }

  /** What a page is told now of what has changed for it. */
  String write(OpenPage.Changes changes) {
    List<Push.Item> items =
        changes.topics().stream().map(topic -> new Push.Item(topic, data(topic, changes))).toList();
    return Texts.wellFormed(json.writeValueAsString(new Push(clock.instant(), run, items)));
  }

  private @Nullable Object data(Topic topic, OpenPage.Changes changes) {
    return switch (topic) {
      case CALLS -> desk(changes).calls();
      case CALL_BACKS -> desk(changes).callBacks();
      case LEAVING -> desk(changes).leaving();
      case OTHERS_CALLS -> desk(changes).others();
      case LINES -> desk(changes).lines();
      case SHELF -> desks.shelf(changes.page().person());
      case PEOPLE ->
          changes.people().isEmpty()
              ? new Push.Board(true, desks.people())
              : new Push.Board(false, desks.people(changes.people()));
      case NOTICES -> changes.notices();
      case SERVICE -> service();
      case SPEAKING -> speaking(changes.page().person());
      case HISTORY,
          QUEUES,
          TO_RETURN,
          VOICEMAIL,
          RECORDINGS,
          CONTACTS,
          FOLLOW_UPS,
          NOTES,
          SPEED_DIALS,
          COLLEAGUES,
          RULES,
          DEVICES,
          ALARMS,
          OUTSIDE ->
          topics.seen(topic, changes.page().signIn().employee());
    };
  }

  private Push.Service service() {
    return new Push.Service(journal.state().behind(), journal.state().refused(), disk.refuses());
  }

  private DeskView desk(OpenPage.Changes changes) {
    return desks.of(changes.page().person());
  }

  /** Everything this person's page shows of calls and people. */
  DeskPicture whole(PersonId person) {
    DeskView desk = desks.of(person);
    return new DeskPicture(
        clock.instant(),
        desk.calls(),
        desk.callBacks(),
        desk.leaving(),
        desk.others(),
        desk.lines(),
        desks.shelf(person),
        desks.people(),
        service());
  }
}
