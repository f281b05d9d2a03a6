package oficina.server.secondfactor;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalLong;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.passwords.OneTimeCode;
import oficina.core.people.PersonId;
import oficina.server.office.OfficeStore;
import oficina.server.passkeys.Passkeys;
import oficina.server.passwords.Employee;
import oficina.server.passwords.Passwords;
import oficina.server.passwords.Tokens;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Who signs in with a second factor, and who has to. */
@Component
public class SecondFactors {
  private static final String WANTED = "second-factor";
  private static final int RECOVERY_CODES = 10;
  private static final int RECOVERY_BYTES = 10;

  /** As many letters as are read off a paper without a mistake: 60 bits. */
  private static final int RECOVERY_LETTERS = 12;

  private static final Duration BEGUN_LASTS = Duration.ofMinutes(15);

  private final SecondFactorStore store;
  private final OfficeStore settings;
  private final Passwords passwords;
  private final Passkeys passkeys;
  private final MovableClock clock;
  private final SecureRandom random = new SecureRandom();
  private final Set<PersonId> having = ConcurrentHashMap.newKeySet();

  /** Secrets that are shown to somebody who has not shown a code of theirs yet. */
  private final Cache<PersonId, byte[]> begun =
      Caffeine.newBuilder().expireAfterWrite(BEGUN_LASTS).maximumSize(10_000).build();

  private volatile Wanted wanted;

  SecondFactors(
      SecondFactorStore store,
      OfficeStore settings,
      Passwords passwords,
      Passkeys passkeys,
      MovableClock clock) {
    this.store = store;
    this.settings = settings;
    this.passwords = passwords;
    this.passkeys = passkeys;
    this.clock = clock;
    store.sealAll();
    having.addAll(store.people());
    wanted = settings.setting(WANTED).map(Wanted::valueOf).orElse(Wanted.NOBODY);
  }

  /** Who has to have one. */
  public enum Wanted {
    NOBODY,
    ADMINISTRATORS,
    EVERYBODY;

    boolean includes(Employee employee) {
      return switch (this) {
        case NOBODY -> false;
        case ADMINISTRATORS -> employee.isAdministrator();
        case EVERYBODY -> true;
      };
    }
  }

  Wanted wanted() {
    return wanted;
  }

  void want(Wanted of) {
    settings.set(WANTED, of.name());
    wanted = of;
  }

  /** Whether somebody can do nothing before they have set one up. */
  public boolean isOwedBy(Employee employee) {
    return wanted.includes(employee) && !has(employee.id());
  }

  boolean isWantedOf(Employee employee) {
    return wanted.includes(employee);
  }

  /** A passkey counts as one: devices show it only for whoever has shown them who they are. */
  boolean has(PersonId person) {
    return having.contains(person) || passkeys.has(person);
  }

  /**
   * Whoever has shown the right password shows their second factor too, if they have one.
   *
   * @param code of their program, or one of those on paper; null when none was typed yet
   * @throws Problem when one is wanted, or it was the wrong one
   */
  public void check(Employee me, @Nullable String code, Passwords.From from) {
    if (!having.contains(me.id())) {
      if (isWantedOf(me) && passkeys.has(me.id())) {
        throw new Problem(HttpStatus.UNAUTHORIZED, "PASSKEY_WANTED");
      }
      return;
    }
    if (code == null || code.isBlank()) {
      throw new Problem(HttpStatus.UNAUTHORIZED, "CODE_WANTED");
    }
    passwords.checkCode(me, from, () -> takes(me.id(), code));
  }

  private boolean takes(PersonId person, String code) {
    return store
        .of(person)
        .map(
            factor -> {
              OptionalLong step =
                  factor.secret().length == 0
                      ? OptionalLong.empty()
                      : OneTimeCode.accepted(
                          factor.secret(), code, clock.instant(), factor.lastStep());
              return step.isPresent()
                  ? store.take(person, step.getAsLong())
                  : store.takeRecovery(person, Tokens.hash(plain(code)));
            })
        .orElse(true); // it was taken away just now
  }

  /** However the letters of a code on paper are typed. */
  private static String plain(String code) {
    return code.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
  }

  /** A secret for somebody who wants to begin; it counts when they show a code of it. */
  byte[] begin(PersonId person) {
    byte[] secret = new byte[OneTimeCode.SECRET_BYTES];
    random.nextBytes(secret);
    begun.put(person, secret);
    return secret;
  }

  /**
   * It counts from now on.
   *
   * @return codes for paper, told this once
   * @throws Problem when the code is not of the secret they were given
   */
  List<String> confirm(Employee me, String code, Passwords.From from) {
    byte[] secret = begun.getIfPresent(me.id());
    if (secret == null) {
      throw new Problem(HttpStatus.CONFLICT, "SECOND_FACTOR_BEGIN_ANEW");
    }
    Instant now = clock.instant();
    OptionalLong[] step = new OptionalLong[1];
    passwords.checkCode(
        me,
        from,
        () -> {
          step[0] = OneTimeCode.accepted(secret, code, now, 0);
          return step[0].isPresent();
        });
    List<String> codes = new ArrayList<>();
    for (int i = 0; i < RECOVERY_CODES; i++) {
      byte[] each = new byte[RECOVERY_BYTES];
      random.nextBytes(each);
      codes.add(OneTimeCode.base32(each).substring(0, RECOVERY_LETTERS));
    }
    store.put(me.id(), secret, now, step[0].getAsLong(), codes.stream().map(Tokens::hash).toList());
    having.add(me.id());
    begun.invalidate(me.id());
    return codes;
  }

  SecondFactorStore.@Nullable Factor of(PersonId person) {
    return store.of(person).orElse(null);
  }

  /** Nobody asks them for one any more. */
  void remove(PersonId person) {
    store.remove(person);
    having.remove(person);
  }

  /** Somebody has lost all that they had besides their password. */
  void removeAll(PersonId person) {
    remove(person);
    passkeys.removeAll(person);
  }
}
