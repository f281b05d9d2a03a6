package oficina.server.signin;

import jakarta.annotation.PreDestroy;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeData;
import oficina.server.passwords.AccessPolicy;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Tokens;
import oficina.server.threads.Threads;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Who is signed in, and where. Known in memory, so that nobody is asked for a password while the
 * database is away, and in the database, so that nobody is after a restart
 * (docs/decisions/0019-sign-ins-can-be-ended.md).
 */
@Component
public class SignIns {
  private static final Logger LOG = LoggerFactory.getLogger(SignIns.class);

  private static final int HOUSEKEEPING_SECONDS = 60;
  private static final int LONGEST_AGENT = 300;
  private static final int MOST_OF_ONE = 50;

  private final SignInStore store;
  private final AccessPolicy policy;
  private final MovableClock clock;
  private final ApplicationEventPublisher events;
  private final Map<String, SignIn> byTokenHash = new ConcurrentHashMap<>();
  private final Map<String, String> tokenHashes = new ConcurrentHashMap<>();

  /** What the database has still to be told. */
  private final Set<String> toRemove = ConcurrentHashMap.newKeySet();

  private final Set<String> used = ConcurrentHashMap.newKeySet();
  private final ScheduledExecutorService housekeeping =
      Executors.newSingleThreadScheduledExecutor(Threads.named("sign-ins"));

  SignIns(
      SignInStore store,
      OfficeData office,
      AccessPolicy policy,
      MovableClock clock,
      ApplicationEventPublisher events) {
    this.store = store;
    this.policy = policy;
    this.clock = clock;
    this.events = events;
    store.all().forEach(this::keep);
    office.onChange(
        (before, after) -> end(each -> after.directory().person(each.employee().id()).isEmpty()));
    housekeeping.scheduleWithFixedDelay(
        this::keepHouse, HOUSEKEEPING_SECONDS, HOUSEKEEPING_SECONDS, TimeUnit.SECONDS);
  }

  /**
   * Somebody has signed in.
   *
   * @return the secret that their browser shows from now on
   */
  String begin(Employee employee, String place, String agent) {
    String token = Tokens.fresh();
    Instant now = clock.instant();
    String shortened = agent.length() > LONGEST_AGENT ? agent.substring(0, LONGEST_AGENT) : agent;
    SignIn signIn =
        new SignIn(
            UUID.randomUUID().toString(), Tokens.hash(token), employee, now, now, place, shortened);
    store.add(signIn);
    keep(signIn);
    endOldest(employee.id());
    return token;
  }

  /** Nobody works in more browsers; whoever signs in again and again takes no room for that. */
  private void endOldest(PersonId person) {
    List<SignIn> all = of(person);
    if (all.size() > MOST_OF_ONE) {
      Set<String> oldest =
          all.subList(MOST_OF_ONE, all.size()).stream().map(SignIn::id).collect(Collectors.toSet());
      end(each -> oldest.contains(each.id()));
    }
  }

  private void keep(SignIn signIn) {
    byTokenHash.put(signIn.tokenHash(), signIn);
    tokenHashes.put(signIn.id(), signIn.tokenHash());
  }

  /**
   * A sign-in goes on with another secret; the one before is worth nothing, and what was opened
   * with it has to be opened anew.
   *
   * @return the secret that the browser shows from now on
   */
  String renew(SignIn mine, Employee employee) {
    String token = Tokens.fresh();
    SignIn renewed =
        new SignIn(
            mine.id(),
            Tokens.hash(token),
            employee,
            mine.began(),
            clock.instant(),
            mine.place(),
            mine.agent());
    store.renew(renewed);
    keep(renewed);
    byTokenHash.remove(mine.tokenHash());
    events.publishEvent(new SignInRenewed(mine.id()));
    return token;
  }

  /** The sign-in that has this secret, which counts as used now. */
  Optional<SignIn> use(String token) {
    return Optional.ofNullable(touch(Tokens.hash(token)));
  }

  /** Whether a sign-in still is one; it counts as used now. */
  public boolean use(SignIn signIn) {
    String tokenHash = tokenHashes.get(signIn.id());
    return tokenHash != null && touch(tokenHash) != null;
  }

  private @Nullable SignIn touch(String tokenHash) {
    SignIn now =
        byTokenHash.computeIfPresent(
            tokenHash, (hash, signIn) -> hasEnded(signIn) ? signIn : touched(signIn));
    return now == null || hasEnded(now) ? null : now;
  }

  private SignIn touched(SignIn signIn) {
    used.add(signIn.id());
    return signIn.usedAt(clock.instant());
  }

  private boolean hasEnded(SignIn signIn) {
    Instant now = clock.instant();
    AccessPolicy.Access access = policy.now();
    return now.isAfter(signIn.lastUsed().plus(access.unused()))
        || now.isAfter(signIn.began().plus(access.longest()));
  }

  /** Somebody's sign-ins, the one used last first. */
  List<SignIn> of(PersonId person) {
    return byTokenHash.values().stream()
        .filter(each -> each.employee().id().equals(person) && !hasEnded(each))
        .sorted(Comparator.comparing(SignIn::lastUsed).reversed())
        .toList();
  }

  /** Somebody is signed out everywhere. */
  public void endAll(PersonId person) {
    end(each -> each.employee().id().equals(person));
  }

  /** Ends sign-ins for good: their cookies are worth nothing, and their sockets close. */
  void end(Predicate<SignIn> which) {
    List<SignIn> ended = new ArrayList<>();
    for (String key : byTokenHash.keySet()) {
      byTokenHash.computeIfPresent(
          key,
          (hash, signIn) -> {
            if (!which.test(signIn)) {
              return signIn;
            }
            ended.add(signIn);
            return null;
          });
    }
    ended.forEach(each -> toRemove.add(each.id()));
    ended.forEach(each -> tokenHashes.remove(each.id()));
    ended.forEach(each -> events.publishEvent(new SignInEnded(each.id())));
    remove();
  }

  /** Ends all of this person's but this one. */
  void endOthers(PersonId person, SignIn here) {
    end(each -> each.employee().id().equals(person) && !each.id().equals(here.id()));
  }

  /** What the database does not take now it is told later. */
  private void remove() {
    Collection<String> ids = List.copyOf(toRemove);
    try {
      store.remove(ids);
      toRemove.removeAll(ids);
    } catch (DataAccessException | TransactionException e) {
      LOG.warn("Sign-ins that have ended are not yet removed: {}", e.getMessage());
    }
  }

  private void keepHouse() {
    try {
      end(this::hasEnded);
      for (SignIn each : byTokenHash.values()) {
        if (used.remove(each.id())) {
          store.used(each);
        }
      }
    } catch (RuntimeException e) {
      LOG.warn("When sign-ins were used last is not written: {}", e.getMessage());
    }
  }

  @PreDestroy
  void stop() {
    housekeeping.shutdownNow();
    keepHouse();
  }
}
