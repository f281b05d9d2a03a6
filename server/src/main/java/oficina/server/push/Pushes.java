package oficina.server.push;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import oficina.core.history.Part;
import oficina.core.people.PersonId;
import oficina.server.exchange.Batch;
import oficina.server.exchange.DeskFeed;
import oficina.server.exchange.DeskView;
import oficina.server.exchange.SlotView;
import oficina.server.office.OfficeData;
import oficina.server.people.PersonView;
import oficina.server.push.Page.Topic;
import oficina.server.time.MovableClock;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** How every desk looks now, and the pages that show it. */
@Component
public class Pushes implements DeskFeed {
  private final OfficeData office;
  private final MovableClock clock;
  private final JsonMapper json;
  private final NoticeViews notices;
  private final Map<PersonId, DeskView> desks = new ConcurrentHashMap<>();
  private final Set<Page> pages = ConcurrentHashMap.newKeySet();
  private final String run = UUID.randomUUID().toString();
  private volatile List<SlotView> shelf = List.of();
  private volatile boolean behind;

  Pushes(OfficeData office, MovableClock clock, JsonMapper json, NoticeViews notices) {
    this.office = office;
    this.clock = clock;
    this.json = json;
    this.notices = notices;
    clock.onMove(this::sayAlive);
  }

  @Override
  public void publish(Batch batch) {
    for (DeskView desk : batch.desks()) {
      DeskView before = desks.put(desk.person(), desk);
      if (before == null
          || !before.calls().equals(desk.calls())
          || !before.callBacks().equals(desk.callBacks())) {
        tell(desk.person(), Topic.CALLS);
      }
      if (before == null || !before.board().equals(desk.board())) {
        pages.forEach(page -> page.tellOf(desk.person()));
      }
    }
    if (batch.shelf() != null) {
      shelf = batch.shelf();
      tell(page -> true, Topic.SHELF);
    }
    for (oficina.core.notices.Notice notice : batch.notices()) {
      tell(notice.to(), notices.of(notice));
    }
    for (Part part : batch.parts()) {
      tell(part.person(), Topic.HISTORY);
      Notice notice = notices.of(part);
      if (notice != null) {
        tell(part.person(), notice);
      }
    }
    // Only these can put somebody on a list of calls to return, or take them off it.
    if (batch.parts().stream()
        .anyMatch(part -> part.result().missed() || part.result() == Part.Result.ANSWERED)) {
      tell(page -> true, Topic.WORKLIST);
    }
  }

  @Override
  public void behind(boolean waiting) {
    behind = waiting;
    tell(page -> true, Topic.SERVICE);
  }

  /** Tells every page that the server is there, and its time. */
  void sayAlive() {
    tell(page -> true, Topic.SERVICE);
  }

  @Override
  public boolean behind() {
    return behind;
  }

  /** Tells this person's pages that a subscriber they play has changed. */
  public void outsideChanged(PersonId person) {
    tell(person, Topic.OUTSIDE);
  }

  void add(Page page) {
    pages.add(page);
    page.tell(Topic.EVERYTHING);
  }

  void remove(Page page) {
    pages.remove(page);
  }

  /** The pages that were opened with this HTTP session. */
  Collection<Page> opened(String httpSession) {
    return pages.stream().filter(page -> httpSession.equals(page.httpSession())).toList();
  }

  private void tell(PersonId person, Notice notice) {
    pages.stream().filter(page -> page.person().equals(person)).forEach(page -> page.tell(notice));
  }

  private void tell(PersonId person, Topic topic) {
    tell(page -> page.person().equals(person), topic);
  }

  private void tell(Predicate<Page> whom, Topic topic) {
    pages.stream().filter(whom).forEach(page -> page.tell(topic));
  }

  String write(Page.Changes changes) {
    Set<Topic> topics = changes.topics();
    boolean all = topics.contains(Topic.EVERYTHING);
    boolean callsToo = all || topics.contains(Topic.CALLS);
    DeskView desk = desks.get(changes.page().person());
    return json.writeValueAsString(
        new Push(
            clock.instant(),
            run,
            callsToo ? desk.calls() : null,
            callsToo ? desk.callBacks() : null,
            all || topics.contains(Topic.SHELF) ? shelf : null,
            all ? people() : changes.people().isEmpty() ? null : people(changes.people()),
            all || topics.contains(Topic.HISTORY),
            all || topics.contains(Topic.WORKLIST),
            all || topics.contains(Topic.OUTSIDE),
            behind,
            changes.notices()));
  }

  /** Everything this person's page shows of calls and people. */
  Push whole(PersonId person) {
    DeskView desk = desks.get(person);
    return new Push(
        clock.instant(),
        run,
        desk.calls(),
        desk.callBacks(),
        shelf,
        people(),
        true,
        true,
        true,
        behind,
        List.of());
  }

  /** The people board, in the order of the directory. */
  public List<PersonView> people() {
    return people(office.directory().people().stream().map(p -> p.id()).toList());
  }

  /** The state of one person. */
  public PersonView person(PersonId id) {
    return desks.get(id).board();
  }

  /** The park slot of this number, or null. */
  SlotView slot(String number) {
    return shelf.stream().filter(each -> each.slot().equals(number)).findFirst().orElse(null);
  }

  private List<PersonView> people(Collection<PersonId> ids) {
    return ids.stream().map(desks::get).map(DeskView::board).toList();
  }
}
