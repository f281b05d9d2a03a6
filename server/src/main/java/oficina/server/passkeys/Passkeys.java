package oficina.server.passkeys;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.webauthn4j.WebAuthnManager;
import com.webauthn4j.converter.AttestedCredentialDataConverter;
import com.webauthn4j.converter.exception.DataConversionException;
import com.webauthn4j.converter.util.ObjectConverter;
import com.webauthn4j.credential.CredentialRecord;
import com.webauthn4j.credential.CredentialRecordImpl;
import com.webauthn4j.data.AuthenticationData;
import com.webauthn4j.data.AuthenticationParameters;
import com.webauthn4j.data.AuthenticationRequest;
import com.webauthn4j.data.AuthenticatorTransport;
import com.webauthn4j.data.RegistrationData;
import com.webauthn4j.data.RegistrationParameters;
import com.webauthn4j.data.RegistrationRequest;
import com.webauthn4j.data.attestation.authenticator.AttestedCredentialData;
import com.webauthn4j.data.attestation.statement.NoneAttestationStatement;
import com.webauthn4j.data.client.Origin;
import com.webauthn4j.data.client.challenge.DefaultChallenge;
import com.webauthn4j.server.ServerProperty;
import com.webauthn4j.verifier.exception.VerificationException;
import jakarta.servlet.http.HttpServletRequest;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import oficina.core.people.PersonId;
import oficina.server.passkeys.PasskeyStore.Passkey;
import oficina.server.passwords.Employee;
import oficina.server.passwords.EmployeeStore;
import oficina.server.passwords.Tokens;
import oficina.server.problems.Problem;
import oficina.server.time.MovableClock;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Who has passkeys, and whose one is that is shown (Web Authentication, level 3, 7.1 and 7.2). */
@Component
public class Passkeys {
  /** The code with which what a device has answered is refused. */
  public static final String WRONG = "WRONG_PASSKEY";

  private static final Duration ASKED_LASTS = Duration.ofMinutes(5);
  private static final int HANDLE_BYTES = 32;
  private static final int MOST = 20;

  private final PasskeyStore store;
  private final EmployeeStore employees;
  private final MovableClock clock;
  private final SecureRandom random = new SecureRandom();
  private final ObjectConverter converter = new ObjectConverter();

  /** What devices say of their make is not asked for, and not believed. */
  private final WebAuthnManager checks = WebAuthnManager.createNonStrictWebAuthnManager(converter);

  private final AttestedCredentialDataConverter credentials =
      new AttestedCredentialDataConverter(converter);

  private final Set<PersonId> having = ConcurrentHashMap.newKeySet();

  /** Challenges that were given to somebody who signs in, each good once. */
  private final Cache<String, Boolean> toShow =
      Caffeine.newBuilder().expireAfterWrite(ASKED_LASTS).maximumSize(10_000).build();

  /** The same for those who make a key. */
  private final Cache<PersonId, Making> toMake =
      Caffeine.newBuilder().expireAfterWrite(ASKED_LASTS).maximumSize(10_000).build();

  private record Making(String challenge, byte[] handle) {}

  Passkeys(PasskeyStore store, EmployeeStore employees, MovableClock clock) {
    this.store = store;
    this.employees = employees;
    this.clock = clock;
    having.addAll(store.people());
  }

  public boolean has(PersonId person) {
    return having.contains(person);
  }

  /** What a device is asked to make. */
  Asked.ToMake begin(Employee me, String shownAs, Place place, String office) {
    List<Passkey> all = store.of(me.id());
    if (all.size() >= MOST) {
      throw new Problem(HttpStatus.CONFLICT, "TOO_MANY_PASSKEYS");
    }
    byte[] handle = all.isEmpty() ? fresh() : all.get(0).handle();
    Making making = new Making(Tokens.fresh(), handle);
    toMake.put(me.id(), making);
    return Asked.ToMake.of(
        new Asked.RelyingParty(place.name(), office),
        new Asked.User(text(handle), me.signInName(), shownAs),
        making.challenge(),
        all.stream().map(Passkeys::descriptor).toList());
  }

  private byte[] fresh() {
    byte[] handle = new byte[HANDLE_BYTES];
    random.nextBytes(handle);
    return handle;
  }

  private static String text(byte[] bytes) {
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }

  private static Asked.Descriptor descriptor(Passkey each) {
    return new Asked.Descriptor("public-key", text(each.credentialId()), each.transports());
  }

  /**
   * It counts from now on.
   *
   * @throws Problem when it does not answer what was asked
   */
  void add(Employee me, String name, Answered.Made answer, Place place) {
    Making making = toMake.asMap().remove(me.id());
    if (making == null) {
      throw new Problem(HttpStatus.CONFLICT, "PASSKEY_BEGIN_ANEW");
    }
    RegistrationParameters wanted =
        new RegistrationParameters(property(place, making.challenge()), null, true, true);
    RegistrationData made = checked(() -> checks.verify(registration(answer.response()), wanted));
    AttestedCredentialData key =
        made.getAttestationObject().getAuthenticatorData().getAttestedCredentialData();
    Passkey passkey =
        new Passkey(
            me.id(),
            making.handle(),
            key.getCredentialId(),
            credentials.convert(key),
            made.getAttestationObject().getAuthenticatorData().getSignCount(),
            made.getTransports() == null
                ? Set.of()
                : made.getTransports().stream()
                    .map(AuthenticatorTransport::getValue)
                    .collect(Collectors.toSet()));
    if (!store.add(passkey, name, clock.instant())) {
      throw new Problem(HttpStatus.CONFLICT, "PASSKEY_THERE_ALREADY");
    }
    having.add(me.id());
  }

  private static RegistrationRequest registration(Answered.Made.Attestation made) {
    return new RegistrationRequest(
        Answered.bytes(made.attestationObject()),
        Answered.bytes(made.clientDataJSON()),
        made.transports());
  }

  private static AuthenticationRequest authentication(
      Passkey known, Answered.Shown.Assertion shown) {
    return new AuthenticationRequest(
        known.credentialId(),
        Answered.bytes(shown.userHandle()),
        Answered.bytes(shown.authenticatorData()),
        Answered.bytes(shown.clientDataJSON()),
        Answered.bytes(shown.signature()));
  }

  private static ServerProperty property(Place place, String challenge) {
    return new ServerProperty(
        new Origin(place.origin()), place.name(), new DefaultChallenge(Answered.bytes(challenge)));
  }

  /** What a device is asked to show, whoever it is. */
  Asked.ToShow ask(Place place) {
    String challenge = Tokens.fresh();
    toShow.put(challenge, true);
    return Asked.ToShow.of(place.name(), challenge);
  }

  /**
   * Whose key a device has shown.
   *
   * @param challenge it was given
   * @throws Problem when the challenge is over, or it is nobody's key, or not rightly shown
   */
  public Employee whose(String challenge, Answered.Shown answer, HttpServletRequest request) {
    Place place = Place.of(request);
    if (toShow.asMap().remove(challenge) == null) {
      throw new Problem(HttpStatus.CONFLICT, "PASSKEY_BEGIN_ANEW");
    }
    Passkey known =
        checked(() -> store.at(Answered.bytes(answer.id()))).orElseThrow(Passkeys::wrong);
    AuthenticationParameters wanted =
        new AuthenticationParameters(
            property(place, challenge), record(known), null, /* userVerification= */ true, true);
    AuthenticationData shown =
        checked(() -> checks.verify(authentication(known, answer.response()), wanted));
    if (!Arrays.equals(shown.getUserHandle(), known.handle())) {
      throw wrong();
    }
    Employee me = employees.employee(known.person()).orElseThrow(Passkeys::wrong);
    store.used(known.credentialId(), shown.getAuthenticatorData().getSignCount(), clock.instant());
    return me;
  }

  /** In whose name a key was shown, rightly or not; nobody when it is nobody's. */
  public Optional<Employee> keptBy(Answered.Shown answer) {
    return store
        .at(checked(() -> Answered.bytes(answer.id())))
        .flatMap(known -> employees.employee(known.person()));
  }

  private CredentialRecord record(Passkey known) {
    return new CredentialRecordImpl(
        new NoneAttestationStatement(),
        null,
        null,
        null,
        known.signCount(),
        credentials.convert(known.credential()),
        null,
        null,
        null,
        Set.of());
  }

  /** Whatever is wrong with what a device says is the same for whoever sent it. */
  private static <T> T checked(Supplier<T> check) {
    try {
      return check.get();
    } catch (VerificationException | DataConversionException | IllegalArgumentException e) {
      throw wrong();
    }
  }

  private static Problem wrong() {
    return new Problem(HttpStatus.UNAUTHORIZED, WRONG);
  }

  List<PasskeyStore.Entry> of(PersonId person) {
    return store.entries(person);
  }

  /**
   * @throws Problem when it is none of theirs
   */
  void remove(PersonId person, long id) {
    if (!store.remove(person, id)) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_PASSKEY");
    }
    if (store.of(person).isEmpty()) {
      having.remove(person);
    }
  }

  /** Somebody has lost them all. */
  public void removeAll(PersonId person) {
    store.removeAll(person);
    having.remove(person);
  }
}
