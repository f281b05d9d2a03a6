package oficina.server.passwords;

import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.PersonId;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Browsers in which people have signed in before. Whatever strangers try, in these they get in.
 * Known in memory: a stranger who makes cookies up is told from them without asking the database.
 */
@Component
public class KnownBrowsers {
  /** Nobody works in more; each one that is not shown a cookie from before is a new one. */
  private static final int MOST_OF_ONE = 50;

  private final BrowserStore store;
  private final MovableClock clock;
  private final Map<String, Set<PersonId>> known = new ConcurrentHashMap<>();

  KnownBrowsers(BrowserStore store, MovableClock clock) {
    this.store = store;
    this.clock = clock;
    store.known(this::remember);
  }

  private void remember(String browserHash, PersonId person) {
    known.computeIfAbsent(browserHash, hash -> ConcurrentHashMap.newKeySet()).add(person);
  }

  private void forget(String browserHash, PersonId person) {
    known.computeIfPresent(
        browserHash,
        (hash, people) -> {
          people.remove(person);
          return people.isEmpty() ? null : people;
        });
  }

  /** Whether anybody has signed in in it. */
  boolean isKnown(String browserHash) {
    return known.containsKey(browserHash);
  }

  /** Whether this person has signed in in it. */
  boolean isKnown(String browserHash, PersonId person) {
    return known.getOrDefault(browserHash, Set.of()).contains(person);
  }

  /** A wrong password was tried. */
  void failed(PersonId person, String place, String browserHash) {
    store.failed(person, place, browserHash, clock.instant());
  }

  /**
   * Somebody has signed in.
   *
   * @return what was tried since the last time in other browsers than this one; null when nothing
   */
  public BrowserStore.@Nullable Failed signedIn(PersonId person, String browserHash) {
    BrowserStore.Failed failed = store.signedIn(person, browserHash, clock.instant());
    remember(browserHash, person);
    store.forgetOldest(person, MOST_OF_ONE).forEach(each -> forget(each, person));
    return failed;
  }
}
