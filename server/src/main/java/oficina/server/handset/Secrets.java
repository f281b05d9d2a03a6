package oficina.server.handset;

import oficina.core.people.PersonId;
import oficina.server.passwords.Tokens;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * By what a telephone shows that it is the one it says it is, as a SIP telephone does by digest.
 */
@Component
public class Secrets {
  private final PhoneStore store;
  private final MovableClock clock;

  Secrets(PhoneStore store, MovableClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** A secret for this person's telephone, known to nobody else. */
  String fresh(PersonId owner) {
    String secret = Tokens.fresh();
    store.addSecret(owner, Tokens.hash(secret), clock.instant());
    return secret;
  }

  /** Whose telephone has this secret; null for none. */
  public @Nullable PersonId ownerOf(String secret) {
    return store.ownerOf(Tokens.hash(secret)).orElse(null);
  }
}
