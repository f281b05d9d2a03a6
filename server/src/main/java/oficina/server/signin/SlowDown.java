package oficina.server.signin;

import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.server.time.MovableClock;
import org.springframework.stereotype.Component;

/**
 * Makes guessing passwords slow: after three failures in a row each further try has to wait, twice
 * as long each time, up to a minute. Counted by name, since all pages of an office may come from
 * one address.
 */
@Component
class SlowDown {
  private static final int FREE_TRIES = 3;
  private static final Duration LONGEST = Duration.ofMinutes(1);
  private static final int MOST_NAMES = 10_000;

  private record Failures(int count, Instant notBefore) {}

  private final MovableClock clock;
  private final Map<String, Failures> byName = new ConcurrentHashMap<>();

  SlowDown(MovableClock clock) {
    this.clock = clock;
  }

  /** How long this name has to wait before the next try; zero when it need not. */
  Duration wait(String name) {
    Failures failures = byName.get(key(name));
    if (failures == null || !clock.instant().isBefore(failures.notBefore())) {
      return Duration.ZERO;
    }
    return Duration.between(clock.instant(), failures.notBefore());
  }

  void failed(String name) {
    if (byName.size() >= MOST_NAMES) {
      byName.values().removeIf(failures -> failures.notBefore().isBefore(clock.instant()));
    }
    byName.merge(key(name), after(1), (old, first) -> after(old.count() + 1));
  }

  private Failures after(int count) {
    int over = Math.min(6, count - FREE_TRIES);
    Duration pause = over < 0 ? Duration.ZERO : Duration.ofSeconds(1L << over);
    return new Failures(
        count, clock.instant().plus(pause.compareTo(LONGEST) > 0 ? LONGEST : pause));
  }

  void succeeded(String name) {
    byName.remove(key(name));
  }

  private static String key(String name) {
    return name.strip().toLowerCase(Locale.ROOT);
  }
}
