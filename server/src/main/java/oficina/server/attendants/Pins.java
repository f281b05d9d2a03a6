package oficina.server.attendants;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import oficina.core.people.PersonId;
import oficina.server.door.TokenBuckets;
import oficina.server.time.MovableClock;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Checks secret numbers. After some wrong ones none is right at that place for a while, longer each
 * time; and of one person only so many are tried from all places but their own telephone together.
 * So nobody guesses one, and nobody keeps its owner from using it.
 */
@Component
public class Pins {
  private static final int FREE_TRIES = 3;
  private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
  private static final int MOST_DOUBLINGS = 7;
  private static final Duration LONGEST_WAIT = FIRST_WAIT.multipliedBy(1L << MOST_DOUBLINGS);

  private static final int MANY = 10_000;
  private static final int TRIES_FROM_ELSEWHERE = 10;
  private static final double ONE_EACH_TEN_MINUTES = 1 / 600.0;

  /**
   * Where a secret number is entered.
   *
   * @param place by which it is told from others
   * @param own whether it is the telephone of whose number it is
   */
  public record At(String place, boolean own) {}

  private record Wrong(int times, Instant until) {}

  private final PinStore store;
  private final PasswordEncoder encoder;
  private final MovableClock clock;
  private final Map<String, Wrong> wrong = new ConcurrentHashMap<>();
  private final TokenBuckets elsewhere =
      new TokenBuckets(TRIES_FROM_ELSEWHERE, ONE_EACH_TEN_MINUTES);

  Pins(PinStore store, PasswordEncoder encoder, MovableClock clock) {
    this.store = store;
    this.encoder = encoder;
    this.clock = clock;
  }

  public boolean isSet(PersonId person) {
    return store.hash(person).isPresent();
  }

  void set(PersonId person, String pin) {
    store.keep(person, encoder.encode(pin));
    wrong.keySet().removeIf(each -> each.startsWith(key(person, "")));
  }

  /** None is right any more. */
  void takeAway(PersonId person) {
    store.forget(person);
  }

  /** Whether it is right. Asking costs time, on purpose. */
  public boolean isRight(PersonId person, String pin, At at) {
    Instant now = clock.instant();
    String key = key(person, at.place());
    String whose = person.toString();
    if (!mayTry(key, now) || !(at.own() || elsewhere.take(whose, now).isZero())) {
      return false;
    }
    boolean right = store.hash(person).filter(hash -> encoder.matches(pin, hash)).isPresent();
    if (right) {
      wrong.remove(key);
      elsewhere.giveBack(whose, now);
    }
    return right;
  }

  private static String key(PersonId person, String place) {
    return person + " " + place;
  }

  /** Counted before it is looked at: of many at once no more are tried than one after the other. */
  private boolean mayTry(String key, Instant now) {
    if (wrong.size() > MANY) {
      wrong.values().removeIf(each -> each.until().plus(LONGEST_WAIT).isBefore(now));
    }
    AtomicBoolean may = new AtomicBoolean();
    wrong.compute(
        key,
        (k, before) -> {
          may.set(before == null || !now.isBefore(before.until()));
          return may.get() ? tried(before == null ? 1 : before.times() + 1, now) : before;
        });
    return may.get();
  }

  private static Wrong tried(int times, Instant now) {
    int doublings = Math.min(MOST_DOUBLINGS, times - FREE_TRIES);
    return new Wrong(
        times, doublings < 0 ? now : now.plus(FIRST_WAIT.multipliedBy(1L << doublings)));
  }
}
