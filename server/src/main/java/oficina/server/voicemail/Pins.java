package oficina.server.voicemail;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.people.PersonId;
import oficina.server.time.MovableClock;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Checks secret numbers. After some wrong ones none is right for a while, longer each time. */
@Component
public class Pins {
  private static final int FREE_TRIES = 3;
  private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
  private static final int MOST_DOUBLINGS = 7;

  private record Wrong(int times, Instant until) {}

  private final PinStore store;
  private final PasswordEncoder encoder;
  private final MovableClock clock;
  private final Map<PersonId, Wrong> wrong = new ConcurrentHashMap<>();

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
    wrong.remove(person);
  }

  /** Whether it is right. Asking costs time, on purpose. */
  public boolean isRight(PersonId person, String pin) {
    Wrong before = wrong.getOrDefault(person, new Wrong(0, Instant.MIN));
    Instant now = clock.instant();
    if (now.isBefore(before.until())) {
      return false;
    }
    boolean right = store.hash(person).filter(hash -> encoder.matches(pin, hash)).isPresent();
    if (right) {
      wrong.remove(person);
    } else {
      int times = before.times() + 1;
      int doublings = Math.min(MOST_DOUBLINGS, times - FREE_TRIES);
      Instant until = doublings < 0 ? now : now.plus(FIRST_WAIT.multipliedBy(1L << doublings));
      wrong.put(person, new Wrong(times, until));
    }
    return right;
  }
}
