package oficina.server.push;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.stream.Stream;
import oficina.core.call.CallId;
import oficina.core.notices.Notice;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.seen.Lamp;
import oficina.server.desk.DeskFeed;
import oficina.server.desk.DeskView;
import oficina.server.desk.Shelf;
import oficina.server.desk.SlotView;
import oficina.server.door.Texts;
import oficina.server.history.HistoryFeed;
import oficina.server.journal.JournalWriter;
import oficina.server.keeping.Disk;
import oficina.server.office.OfficeData;
import oficina.server.people.PersonView;
import oficina.server.push.Push.Topic;
import oficina.server.returning.ReturnLists;
import oficina.server.sound.SpeakingFeed;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** How every desk looks now, and the pages that show it. */
@Component
public class Pushes implements DeskFeed, HistoryFeed, SpeakingFeed {
  private final OfficeData office;
  private final MovableClock clock;
  private final JsonMapper json;
  private final NoticeViews notices;
  private final JournalWriter journal;
  private final Disk disk;
  private final ReturnLists returnLists;
  private final Map<PersonId, DeskView> desks = new ConcurrentHashMap<>();

  /** Of many pages few are concerned by what happens: they are found by whose they are. */
  private final Map<PersonId, Set<OpenPage>> pages = new ConcurrentHashMap<>();

  private final List<Consumer<Collection<PersonId>>> voicemail = new CopyOnWriteArrayList<>();
  private final Map<CallId, Spoken> speaking = new ConcurrentHashMap<>();
  private final String run = UUID.randomUUID().toString();
  private volatile Shelf shelf = Shelf.EMPTY;

  Pushes(
      OfficeData office,
      MovableClock clock,
      JsonMapper json,
      NoticeViews notices,
      JournalWriter journal,
      Disk disk,
      ReturnLists returnLists) {
    this.office = office;
    this.clock = clock;
    this.json = json;
    this.notices = notices;
    this.journal = journal;
    this.disk = disk;
    this.returnLists = returnLists;
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
      tellAll(Topic.PEOPLE);
    }
    if (changes.shelf() != null) {
      shelf = changes.shelf();
      tellAll(Topic.SHELF);
    }
    for (Notice notice : changes.notices()) {
      tell(notice.to(), notices.of(notice));
    }
    changes.parts().forEach(part -> tell(part.person(), Topic.HISTORY));
    returnLists.takeChanged(office.directory()).forEach(person -> tell(person, Topic.TO_RETURN));
  }

  /** Shows one desk, and says whether it was not there before. */
  private boolean publish(DeskView desk) {
    DeskView before = desks.put(desk.person(), desk);
    if (before == null
        || !before.calls().equals(desk.calls())
        || !before.callBacks().equals(desk.callBacks())
        || !before.leaving().equals(desk.leaving())
        || !before.others().equals(desk.others())
        || !before.lines().equals(desk.lines())) {
      tell(desk.person(), Topic.CALLS);
    }
    if (before != null && !before.board().equals(desk.board())) {
      opened().forEach(page -> page.tellOf(desk.person()));
    }
    return before == null;
  }

  @Override
  public void forget(PersonId person) {
    desks.remove(person);
    opened(person).forEach(OpenPage::signOut);
    tellAll(Topic.PEOPLE);
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
    tell(whom, Topic.SPEAKING);
  }

  private List<Push.Speaking> speaking(PersonId person) {
    return speaking.entrySet().stream()
        .filter(each -> each.getValue().whom().contains(person))
        .map(each -> new Push.Speaking(each.getKey().value(), each.getValue().legs()))
        .toList();
  }

  /** Tells every page that the server is there, its time, and how the service stands. */
  void sayAlive() {
    tellAll(Topic.SERVICE);
  }

  @Override
  public void historyChanged(PersonId person) {
    tell(person, Topic.HISTORY);
  }

  /** A person has written something about a call of theirs. */
  public void noteChanged(PersonId person) {
    tell(person, Topic.NOTES);
  }

  @Override
  public void toReturnChanged() {
    tellAll(Topic.TO_RETURN);
  }

  /** Has somebody told of whom something has become of a message. */
  public void onVoicemail(Consumer<Collection<PersonId>> listener) {
    voicemail.add(listener);
  }

  /** Tells the pages of these people that something has become of a message of theirs. */
  public void voicemailChanged(Collection<PersonId> people) {
    voicemail.forEach(each -> each.accept(people));
    tell(people, Topic.VOICEMAIL);
  }

  /** Tells the pages of these people that something has become of a recording of theirs. */
  public void recordingsChanged(Collection<PersonId> people) {
    tell(people, Topic.RECORDINGS);
  }

  /**
   * Tells pages that contacts have changed.
   *
   * @param owner whose own they are; null for those of the office
   */
  public void contactsChanged(@Nullable PersonId owner) {
    if (owner == null) {
      tellAll(Topic.CONTACTS);
    } else {
      tell(owner, Topic.CONTACTS);
    }
  }

  /** Tells this person's pages that their speed dials have changed. */
  public void speedDialsChanged(PersonId person) {
    tell(person, Topic.SPEED_DIALS);
  }

  /** Tells the pages of these people that what is to be done has changed. */
  public void followUpsChanged(Collection<PersonId> people) {
    tell(people, Topic.FOLLOW_UPS);
  }

  /** Tells the pages of these people that their devices, or who has them, have changed. */
  public void devicesChanged(PersonId... people) {
    tell(List.of(people), Topic.DEVICES);
  }

  /** Tells every page that rules, lines, hours or blocks have changed: whose, they ask again. */
  public void rulesChanged() {
    tellAll(Topic.RULES);
  }

  /** Tells somebody something once; their pages have a sentence for it. */
  public void notice(PersonId to, String what, Map<String, String> about) {
    tell(to, new NoticeView(what, about));
  }

  /** Tells this person's pages that a subscriber they play has changed. */
  public void outsideChanged(PersonId person) {
    tell(person, Topic.OUTSIDE);
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

  private void tell(Collection<PersonId> people, Topic topic) {
    people.forEach(person -> tell(person, topic));
  }

  private void tellAll(Topic topic) {
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
      case CALLS -> {
        DeskView desk = desk(changes.page().person());
        yield new Push.MyCalls(
            desk.calls(), desk.callBacks(), desk.leaving(), desk.others(), desk.lines());
      }
      case SHELF -> shelf(changes.page().person());
      case PEOPLE ->
          changes.people().isEmpty()
              ? new Push.Board(true, people())
              : new Push.Board(false, people(changes.people()));
      case NOTICES -> changes.notices();
      case SERVICE -> service();
      case SPEAKING -> speaking(changes.page().person());
      case HISTORY,
          TO_RETURN,
          VOICEMAIL,
          RECORDINGS,
          CONTACTS,
          FOLLOW_UPS,
          NOTES,
          SPEED_DIALS,
          RULES,
          DEVICES,
          OUTSIDE ->
          null;
    };
  }

  private Push.Service service() {
    return new Push.Service(journal.state().behind(), journal.state().refused(), disk.refuses());
  }

  /** Whoever has just come has nothing in hand. */
  private DeskView desk(PersonId person) {
    DeskView desk = desks.get(person);
    if (desk != null) {
      return desk;
    }
    PersonView nothing =
        PersonView.of(
            office.person(person),
            new Lamp(Lamp.Light.OFF, /* since= */ null, /* status= */ null),
            office.region());
    return new DeskView(person, List.of(), List.of(), List.of(), List.of(), List.of(), nothing);
  }

  /** Everything this person's page shows of calls and people. */
  DeskPicture whole(PersonId person) {
    DeskView desk = desk(person);
    return new DeskPicture(
        clock.instant(),
        desk.calls(),
        desk.callBacks(),
        desk.leaving(),
        desk.others(),
        desk.lines(),
        shelf(person),
        people(),
        service());
  }

  /** The people board, in the order of the directory. */
  public List<PersonView> people() {
    return people(office.directory().people().stream().map(Person::id).toList());
  }

  /** The state of one person of the office. */
  public PersonView person(PersonId id) {
    return desk(id).board();
  }

  private List<SlotView> shelf(PersonId viewer) {
    return shelf.seenBy(viewer, office.now());
  }

  /** The park slot of this number as this person sees it, or null. */
  public @Nullable SlotView slot(String number, PersonId viewer) {
    return shelf(viewer).stream()
        .filter(each -> each.slot().equals(number))
        .findFirst()
        .orElse(null);
  }

  private List<PersonView> people(Collection<PersonId> ids) {
    return ids.stream()
        .filter(id -> office.directory().person(id).isPresent())
        .map(this::person)
        .toList();
  }
}
