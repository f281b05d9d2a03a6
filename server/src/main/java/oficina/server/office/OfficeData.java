package oficina.server.office;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import oficina.core.exchange.ParkSlot;
import oficina.core.exchange.Settings;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.PhoneNumber;
import oficina.core.numbers.Region;
import oficina.core.people.Directory;
import oficina.core.people.GroupId;
import oficina.core.people.PeopleFinder;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import org.springframework.stereotype.Component;

/**
 * The office as it is now, kept in memory: a call must not wait for the database to know whose
 * extension was dialled.
 */
@Component
public class OfficeData {
  private volatile Directory directory;
  private final PeopleFinder finder;
  private final DialPlan plan;
  private final Settings settings;
  private final PhoneNumber mainNumber;
  private final String name;
  private final Map<PersonId, StandIn> standIns;
  private final List<Runnable> listeners = new CopyOnWriteArrayList<>();

  OfficeData(OfficeStore store, DemoOffice demo) {
    demo.addToEmptyDatabase();
    Map<String, String> set = store.settings();
    directory = store.directory();
    finder = new PeopleFinder(directory.people());
    settings = settings(set, store.parkSlots());
    plan =
        new DialPlan(
            new Region(set.getOrDefault("region", "GB")),
            set.getOrDefault("access-code", "9"),
            digits -> directory.hasExtension(digits) || settings.isSlot(digits),
            directory.longestExtension());
    mainNumber = set.containsKey("main-number") ? new PhoneNumber(set.get("main-number")) : null;
    name = set.getOrDefault("office-name", "");
    standIns = store.standIns();
  }

  /** What the office has set, and for the rest what usually applies. */
  private static Settings settings(Map<String, String> set, List<ParkSlot> slots) {
    Settings usual = Settings.DEFAULT;
    String frontDesk = set.get("front-desk");
    return new Settings(
        number(set, "outside-lines", usual.outsideLines()),
        number(set, "calls-in-hand", usual.callsInHand()),
        seconds(set, "network-patience", usual.networkPatience()),
        seconds(set, "hold-reminder", usual.holdReminder()),
        frontDesk == null ? null : new GroupId(Long.parseLong(frontDesk)),
        seconds(set, "tone-time", usual.toneTime()),
        number(set, "conference-limit", usual.conferenceLimit()),
        slots,
        seconds(set, "park-come-back", usual.parkComeBack()),
        seconds(set, "call-back-lasts", usual.callBackLasts()));
  }

  private static int number(Map<String, String> set, String name, int usual) {
    return set.containsKey(name) ? Integer.parseInt(set.get(name)) : usual;
  }

  private static Duration seconds(Map<String, String> set, String name, Duration usual) {
    return Duration.ofSeconds(number(set, name, (int) usual.toSeconds()));
  }

  public Directory directory() {
    return directory;
  }

  /** Has further calls ring at this person, or not, while they have one in hand. */
  public synchronized void callWaiting(PersonId id, boolean on) {
    if (person(id).callWaiting() != on) {
      directory = directory.replacing(person(id).withCallWaiting(on));
      listeners.forEach(Runnable::run);
    }
  }

  /** Has somebody told when the directory has changed. */
  public void onChange(Runnable listener) {
    listeners.add(listener);
  }

  public PeopleFinder finder() {
    return finder;
  }

  public DialPlan plan() {
    return plan;
  }

  public Region region() {
    return plan.region();
  }

  public Settings settings() {
    return settings;
  }

  public String name() {
    return name;
  }

  public StandIn standIn(PersonId person) {
    return standIns.getOrDefault(person, StandIn.NONE);
  }

  /** The number by which the office is known; null when it has none. */
  public PhoneNumber mainNumber() {
    return mainNumber;
  }

  /** What an outsider is shown when this person calls: their own number, else the office's. */
  public PhoneNumber callerIdOf(PersonId person) {
    return directory.person(person).map(Person::directNumber).orElse(mainNumber);
  }

  /** The person with this identity, who must exist. */
  public Person person(PersonId id) {
    return directory.person(id).orElseThrow();
  }
}
