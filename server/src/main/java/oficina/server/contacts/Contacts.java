package oficina.server.contacts;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.LockSupport;
import java.util.concurrent.locks.ReadWriteLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import oficina.core.contacts.Contact;
import oficina.core.contacts.Contact.Card;
import oficina.core.contacts.ContactBook;
import oficina.core.contacts.ContactId;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Directions.CallerBook;
import oficina.core.people.PersonId;
import oficina.server.office.DirectionsStore;
import oficina.server.office.OfficeData;
import oficina.server.problems.Problem;
import oficina.server.threads.Threads;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * All contacts, kept in memory: a call must not wait for the database to know who rings. What is
 * changed is written first and known afterwards. Those of a large office become known while the
 * server is at work already; what is not known yet cannot be changed either.
 */
@Component
public class Contacts {
  private static final Logger LOG = LoggerFactory.getLogger(Contacts.class);

  /** So long what was removed by mistake can still be brought back. */
  private static final Duration KEPT_AFTER_REMOVAL = Duration.ofDays(1);

  /** What fits into memory beside the calls. */
  private static final int MOST = 150_000;

  private static final int MOST_OF_ONE = 50_000;

  private static final int PATIENCE_SECONDS = 2;
  private static final int TRY_AGAIN_SECONDS = 10;
  private static final int LOADED_AT_ONCE = 100;
  private static final long RETRY_NANOS = TimeUnit.SECONDS.toNanos(1);

  private final ContactStore store;
  private final MovableClock clock;
  private final ContactBook book;
  private final ReadWriteLock lock = new ReentrantReadWriteLock();
  private volatile boolean loaded;
  private volatile boolean atWork;
  private final List<Consumer<@Nullable PersonId>> listeners = new CopyOnWriteArrayList<>();

  Contacts(ContactStore store, MovableClock clock, OfficeData office, DirectionsStore directions) {
    this.store = store;
    this.clock = clock;
    this.book = new ContactBook(office.region());
    store.forget(clock.instant().minus(KEPT_AFTER_REMOVAL));
    directions.know(new Book());
    awaitThoseOfASmallOffice(load());
  }

  /** A hundred thousand take half a minute, for which no call waits. */
  private CompletableFuture<Void> load() {
    ExecutorService loader = Executors.newSingleThreadExecutor(Threads.named("contacts"));
    CompletableFuture<Void> loading = CompletableFuture.runAsync(this::loadAll, loader);
    loader.shutdown();
    return loading;
  }

  private void loadAll() {
    Set<@Nullable PersonId> owners = new HashSet<>();
    while (!loaded) {
      try {
        loadThoseMissing(owners);
        loaded = true;
      } catch (DataAccessException e) {
        if (!atWork) {
          throw e;
        }
        LOG.warn("The contacts could not be read to the end; again: {}", e.getMessage());
        LockSupport.parkNanos(RETRY_NANOS);
      }
    }
    owners.forEach(this::tell);
  }

  private void loadThoseMissing(Set<@Nullable PersonId> owners) {
    List<Contact> some = new ArrayList<>();
    store.all(
        contact -> {
          some.add(contact);
          owners.add(contact.owner());
          if (some.size() >= LOADED_AT_ONCE) {
            putThoseMissing(some);
            some.clear();
          }
        });
    putThoseMissing(some);
  }

  /** What is known already may have been changed since it was read. */
  private void putThoseMissing(List<Contact> some) {
    lock.writeLock().lock();
    try {
      some.stream().filter(each -> !book.has(each.id())).forEach(book::put);
    } finally {
      lock.writeLock().unlock();
    }
  }

  private void awaitThoseOfASmallOffice(CompletableFuture<Void> loading) {
    try {
      loading.get(PATIENCE_SECONDS, TimeUnit.SECONDS);
    } catch (TimeoutException e) {
      atWork = true;
      LOG.info("There are many contacts: they become known while the server is at work");
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException e) {
      throw new IllegalStateException("the contacts cannot be read", e.getCause());
    }
  }

  /**
   * Makes sure that all contacts are known, as they are soon after the start.
   *
   * @throws Problem when they are not yet
   */
  public void checkLoaded() {
    if (!loaded) {
      throw Problem.busy("CONTACTS_LOADING", TRY_AGAIN_SECONDS);
    }
  }

  /** What calls are decided by. */
  private final class Book implements CallerBook {
    @Override
    public Set<String> companies(PhoneNumber number, @Nullable PersonId viewer) {
      return ask(all -> all.at(number, viewer)).stream()
          .map(contact -> contact.card().company().toLowerCase(Locale.ROOT))
          .filter(company -> !company.isEmpty())
          .collect(Collectors.toSet());
    }

    @Override
    public Set<String> tags(PhoneNumber number) {
      return ask(all -> all.at(number, null)).stream()
          .flatMap(contact -> contact.card().tags().stream())
          .map(tag -> tag.toLowerCase(Locale.ROOT))
          .collect(Collectors.toSet());
    }
  }

  /** Has somebody told after each change whose contacts have changed; null for the office's. */
  public void onChange(Consumer<@Nullable PersonId> listener) {
    listeners.add(listener);
  }

  /** Asks the book. Nothing of it may be kept but what was asked for. */
  public <T> T ask(Function<ContactBook, T> question) {
    lock.readLock().lock();
    try {
      return question.apply(book);
    } finally {
      lock.readLock().unlock();
    }
  }

  /** The contact, if there is one and this person may know of it. */
  public Optional<Contact> get(ContactId id, PersonId viewer) {
    return Optional.ofNullable(ask(all -> all.get(id, viewer)));
  }

  /**
   * The contact.
   *
   * @throws Problem when there is none, or none that this person may know of
   */
  public Contact wanted(long id, PersonId viewer) {
    return get(new ContactId(id), viewer).orElseThrow(Contacts::noSuchContact);
  }

  /** What is said of a contact that is not there, or nobody else's business. */
  public static Problem noSuchContact() {
    return new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_CONTACT");
  }

  /**
   * Adds a contact.
   *
   * @param owner whose own it is to be; null for the whole office
   * @throws Problem when there is no room for more
   */
  public Contact add(@Nullable PersonId owner, Card card, PersonId by) {
    checkRoom(owner, 1);
    String uid = "urn:uuid:" + UUID.randomUUID();
    List<NewContact> added = List.of(new NewContact(uid, card));
    ContactId id = store.add(owner, added, by, clock.instant()).get(0);
    return known(new Contact(id, owner, uid, card, false));
  }

  /** Adds many of one owner; nobody is told before {@link #tell}. */
  public List<Contact> addAll(@Nullable PersonId owner, List<NewContact> cards, PersonId by) {
    checkRoom(owner, cards.size());
    List<ContactId> ids = store.add(owner, cards, by, clock.instant());
    List<Contact> contacts = new ArrayList<>(ids.size());
    for (int i = 0; i < ids.size(); i++) {
      contacts.add(new Contact(ids.get(i), owner, cards.get(i).uid(), cards.get(i).card(), false));
    }
    putAll(contacts);
    return contacts;
  }

  /**
   * Makes sure that so many more can be added.
   *
   * @throws Problem when there is no room for them
   */
  public void checkRoom(@Nullable PersonId owner, int more) {
    int all = ask(ContactBook::size) + more;
    int own = owner == null ? 0 : ask(known -> known.count(owner)) + more;
    if (all > MOST || own > MOST_OF_ONE) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "CONTACTS_FULL",
          Map.of("limit", Integer.toString(own > MOST_OF_ONE ? MOST_OF_ONE : MOST)));
    }
  }

  public Contact change(Contact before, Card card, PersonId by) {
    store.change(before, card, by, clock.instant());
    return known(new Contact(before.id(), before.owner(), before.uid(), card, before.picture()));
  }

  public void remove(Contact contact, PersonId by) {
    store.remove(contact, by, clock.instant());
    lock.writeLock().lock();
    try {
      book.remove(contact.id());
    } finally {
      lock.writeLock().unlock();
    }
    tell(contact.owner());
  }

  /** Those like this were erased for good, and are no longer in the book either. */
  public void forget(Predicate<Contact> erased) {
    lock.writeLock().lock();
    try {
      book.removeAll(erased);
    } finally {
      lock.writeLock().unlock();
    }
  }

  /** Brings back what was removed, if it is not too late and this person may know of it. */
  public Optional<Contact> restore(ContactId id, PersonId by) {
    Instant now = clock.instant();
    return store.restore(id, by, now.minus(KEPT_AFTER_REMOVAL), now).map(this::known);
  }

  /** Who changed what, latest first. */
  public List<ContactStore.Changed> changes(ContactId id, int limit) {
    return store.changes(id, limit);
  }

  /** The picture, as JPEG. */
  public Optional<byte[]> picture(ContactId id) {
    return store.picture(id);
  }

  /** Puts a picture to a contact, or takes it away. */
  public void picture(Contact contact, byte @Nullable [] picture) {
    store.picture(contact.id(), picture);
    known(
        new Contact(contact.id(), contact.owner(), contact.uid(), contact.card(), picture != null));
  }

  private Contact known(Contact contact) {
    putAll(List.of(contact));
    tell(contact.owner());
    return contact;
  }

  private void putAll(Collection<Contact> contacts) {
    lock.writeLock().lock();
    try {
      contacts.forEach(book::put);
    } finally {
      lock.writeLock().unlock();
    }
  }

  /** Tells that contacts of this owner have changed. */
  public void tell(@Nullable PersonId owner) {
    listeners.forEach(listener -> listener.accept(owner));
  }
}
