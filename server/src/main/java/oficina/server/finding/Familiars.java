package oficina.server.finding;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import oficina.core.finding.Familiarity;
import oficina.core.people.PersonId;
import oficina.server.history.LastCalls;
import oficina.server.threads.Threads;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Whom each person speaks with most, from their own history. It is read anew once a minute while
 * they look for somebody; nobody waits for a database that is slow or away.
 */
@Component
class Familiars {
  private static final Logger LOG = LoggerFactory.getLogger(Familiars.class);

  /** As many conversations tell who it is that one speaks with. */
  private static final int CONVERSATIONS = 400;

  private static final Duration FRESH = Duration.ofMinutes(1);
  private static final long PATIENCE_MS = 100;
  private static final int MOST_WAITING = 100;

  private final LastCalls calls;
  private final Clock clock;
  private final Map<PersonId, Known> known = new ConcurrentHashMap<>();
  private final Map<PersonId, CompletableFuture<Familiarity>> reads = new ConcurrentHashMap<>();
  private final ExecutorService reading =
      Threads.one(MOST_WAITING, Threads.beside("familiar-callers"));

  private record Known(Instant since, Familiarity familiarity) {}

  Familiars(LastCalls calls, Clock clock) {
    this.calls = calls;
    this.clock = clock;
  }

  /** Of this person, as far as it is known by now. */
  Familiarity of(PersonId person) {
    Instant now = clock.instant();
    Known before = known.get(person);
    if (before != null && now.isBefore(before.since().plus(FRESH))) {
      return before.familiarity();
    }
    Familiarity read = read(person, now);
    if (read != null) {
      return read;
    }
    return before == null ? new Familiarity(now) : before.familiarity();
  }

  private @Nullable Familiarity read(PersonId person, Instant now) {
    try {
      // However many letters are typed while the database is slow, it is asked once.
      CompletableFuture<Familiarity> read =
          reads.computeIfAbsent(
              person, p -> CompletableFuture.supplyAsync(() -> learnt(p, now), reading));
      read.whenComplete((familiarity, problem) -> reads.remove(person, read));
      return read.get(PATIENCE_MS, TimeUnit.MILLISECONDS);
    } catch (TimeoutException | RejectedExecutionException e) {
      return null; // it comes later, for the next letter
    } catch (ExecutionException e) {
      LOG.debug("Whom somebody speaks with is not known: {}", e.getMessage());
      return null;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return null;
    }
  }

  private Familiarity learnt(PersonId person, Instant now) {
    Familiarity familiarity = new Familiarity(now);
    calls
        .spoken(person, now.minus(Familiarity.REMEMBERED), CONVERSATIONS)
        .forEach(each -> familiarity.spoke(each.with(), each.began()));
    known.put(person, new Known(now, familiarity));
    return familiarity;
  }
}
