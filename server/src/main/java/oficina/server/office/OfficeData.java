package oficina.server.office;

import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiConsumer;
import oficina.core.ledger.Differences;
import oficina.core.numbers.DialPlan;
import oficina.core.numbers.Region;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.Directory;
import oficina.core.people.PeopleFinder;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.server.ledger.OfficeLog;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The office as it is now, kept in memory: a call must not wait for the database to know whose
 * extension was dialled. Whoever changes anything has the whole office read anew and swapped.
 */
@Component
public class OfficeData {
  private final OfficeStore store;
  private final OfficeLog log;
  private final TransactionTemplate transaction;
  private final List<BiConsumer<Office, Office>> listeners = new CopyOnWriteArrayList<>();
  private volatile Office office;
  private volatile Map<PersonId, StandIn> standIns;
  private volatile Map<PersonId, StoredAccount> accounts;

  OfficeData(
      OfficeStore store, NewOffice newOffice, OfficeLog log, TransactionTemplate transaction) {
    this.store = store;
    this.log = log;
    this.transaction = transaction;
    newOffice.intoEmptyDatabase();
    office = store.office();
    standIns = store.standIns();
    accounts = store.accounts();
  }

  /**
   * Changes the office, and writes down what is different then, together or not at all.
   *
   * @param write changes the database; what that does not take has not happened
   */
  public synchronized void change(Runnable write) {
    Office before = office;
    Written written = transaction.execute(status -> writtenDown(write));
    Office after = written.office;
    standIns = store.standIns();
    accounts = written.accounts;
    office = after;
    listeners.forEach(listener -> listener.accept(before, after));
  }

  private record Written(Office office, Map<PersonId, StoredAccount> accounts) {}

  private Written writtenDown(Runnable write) {
    write.run();
    Written written = new Written(store.office(), store.accounts());
    log.write(
        Differences.between(
            new Differences.Side(office, accounts),
            new Differences.Side(written.office, written.accounts)));
    return written;
  }

  /** Has somebody told what the office was and is whenever it has changed. */
  public void onChange(BiConsumer<Office, Office> listener) {
    listeners.add(listener);
  }

  public Office now() {
    return office;
  }

  public Directory directory() {
    return office.directory();
  }

  public PeopleFinder finder() {
    return office.finder();
  }

  public DialPlan plan() {
    return office.plan();
  }

  public Region region() {
    return office.identity().region();
  }

  public Settings settings() {
    return office.settings();
  }

  public StandIn standIn(PersonId person) {
    return standIns.getOrDefault(person, StandIn.NONE);
  }

  /** Who may change the office. */
  public List<PersonId> administrators() {
    return accounts.entrySet().stream()
        .filter(each -> each.getValue().isAdministrator())
        .map(Map.Entry::getKey)
        .toList();
  }

  /** The person with this identity, who must be of the office. */
  public Person person(PersonId id) {
    return directory().person(id).orElseThrow();
  }
}
