package oficina.server.passwords;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import oficina.server.door.TokenBuckets;
import oficina.server.time.MovableClock;
import org.springframework.stereotype.Component;

/**
 * Makes guessing passwords slow without shutting out whoever knows theirs. After three failures in
 * a row for one account from one origin each further try there waits twice as long as the one
 * before, up to a minute. Besides, so many fail for one account from all origins together, and so
 * many from one origin for all accounts. One origin alone does not use up what an account has. A
 * browser in which that person has signed in before is counted by itself and waits for nobody else.
 */
@Component
class SlowDown {
  private static final int FREE_TRIES = 3;
  private static final int LONGEST_SECONDS = 60;
  private static final int MOST = 10_000;

  private record Failures(int count, Instant notBefore) {}

  private final MovableClock clock;
  private final Map<String, Failures> inARow = new ConcurrentHashMap<>();
  private final TokenBuckets accounts = new TokenBuckets(10, 1 / 30.0);
  private final TokenBuckets origins = new TokenBuckets(30, 0.5);

  SlowDown(MovableClock clock) {
    this.clock = clock;
  }

  /** How long somebody has to wait before the next try; zero when they need not. */
  Duration wait(Tried tried) {
    Instant now = clock.instant();
    Failures failures = inARow.get(pair(tried));
    Duration own =
        failures == null || !now.isBefore(failures.notBefore())
            ? Duration.ZERO
            : Duration.between(now, failures.notBefore());
    if (tried.knownBrowser() != null) {
      return own;
    }
    return Stream.of(own, accounts.wait(tried.account(), now), wait(tried.origin()))
        .max(Duration::compareTo)
        .orElseThrow();
  }

  /** How long strangers from there have to wait, whatever account they try. */
  Duration wait(String origin) {
    return origins.wait(origin, clock.instant());
  }

  void failed(Tried tried) {
    Instant now = clock.instant();
    if (inARow.size() >= MOST) {
      inARow.values().removeIf(failures -> failures.notBefore().isBefore(now));
    }
    inARow.merge(pair(tried), after(1), (old, first) -> after(old.count() + 1));
    if (tried.knownBrowser() == null) {
      accounts.spend(tried.account(), now);
      origins.spend(tried.origin(), now);
    }
  }

  private Failures after(int count) {
    int over = Math.min(6, count - FREE_TRIES);
    long pause = over < 0 ? 0 : Math.min(LONGEST_SECONDS, 1L << over);
    return new Failures(count, clock.instant().plusSeconds(pause));
  }

  void succeeded(Tried tried) {
    inARow.remove(pair(tried));
  }

  private static String pair(Tried tried) {
    String from = tried.knownBrowser() == null ? tried.origin() : tried.knownBrowser();
    return tried.account() + " " + from;
  }
}
