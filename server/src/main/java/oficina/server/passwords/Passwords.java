package oficina.server.passwords;

import java.text.Normalizer;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import oficina.core.passwords.PasswordRules;
import oficina.core.passwords.PasswordRules.Weakness;
import oficina.server.passwords.EmployeeStore.Account;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Checks passwords, slowing down whoever guesses, and hashes new ones. */
@Component
public class Passwords {
  /** Checked for names that nobody has: they must not be told apart by the time it takes. */
  private final String nobodysHash;

  private final PasswordEncoder encoder;
  private final EmployeeStore employees;
  private final KnownBrowsers browsers;
  private final PasswordChecks checks;
  private final SlowDown slowDown;
  private final AccessPolicy policy;

  Passwords(
      PasswordEncoder encoder,
      EmployeeStore employees,
      KnownBrowsers browsers,
      PasswordChecks checks,
      SlowDown slowDown,
      AccessPolicy policy) {
    this.encoder = encoder;
    this.employees = employees;
    this.browsers = browsers;
    this.checks = checks;
    this.slowDown = slowDown;
    this.policy = policy;
    this.nobodysHash = encoder.encode(Tokens.fresh());
  }

  /** The code with which a wrong name or password is refused. */
  public static final String WRONG = "WRONG_PASSWORD";

  /** The same of a code that is shown besides. */
  public static final String WRONG_CODE = "WRONG_CODE";

  /**
   * Where a password was typed.
   *
   * @param origin network address
   * @param browser what the browser shows to be known again; null when it has nothing
   */
  public record From(String origin, @Nullable String browser) {
    public String browserHash() {
      return browser == null ? "" : Tokens.hash(browser);
    }
  }

  /**
   * Whose name and password these are.
   *
   * @throws Problem when they are nobody's, or it was tried too often
   */
  public Employee check(String name, String password, From from) {
    boolean stranger = !browsers.isKnown(from.browserHash());
    if (stranger) {
      refuseIfToWait(slowDown.wait(from.origin()));
    }
    String asking = stranger ? from.origin() : from.browserHash();
    return checks.await(asking, () -> checkNow(name, password, from));
  }

  /**
   * Makes sure that somebody who is signed in knows their password.
   *
   * @throws Problem when they do not
   */
  public void checkPresent(Employee me, String password, From from) {
    try {
      check(me.signInName(), password, from);
    } catch (WrongPasswordException e) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "WRONG_PRESENT_PASSWORD");
    }
  }

  /**
   * Makes sure of a code that somebody shows besides their password; whoever guesses is slowed down
   * apart from those.
   *
   * @param right whether it is theirs, asked once
   * @throws Problem when it is not, or it was tried too often
   */
  public void checkCode(Employee me, From from, BooleanSupplier right) {
    Tried tried = new Tried("code p" + me.id().value(), from.origin(), null);
    refuseIfToWait(slowDown.wait(tried));
    if (!right.getAsBoolean()) {
      slowDown.failed(tried);
      throw new Problem(HttpStatus.UNAUTHORIZED, WRONG_CODE);
    }
    slowDown.succeeded(tried);
  }

  private static final class WrongPasswordException extends Problem {
    private static final long serialVersionUID = 1;

    WrongPasswordException() {
      super(HttpStatus.UNAUTHORIZED, WRONG);
    }
  }

  private Employee checkNow(String name, String password, From from) {
    Optional<Account> account = employees.account(name);
    Tried tried = tried(name, account.map(Account::employee), from);
    refuseIfToWait(slowDown.wait(tried));
    String hash = account.map(Account::passwordHash).orElse(nobodysHash);
    if (encoder.matches(password, hash) && PasswordRules.fits(password) && account.isPresent()) {
      slowDown.succeeded(tried);
      return account.get().employee();
    }
    slowDown.failed(tried);
    account.ifPresent(
        known -> browsers.failed(known.employee().id(), from.origin(), from.browserHash()));
    throw new WrongPasswordException();
  }

  /** An account is the same whatever of its names is typed, and however. */
  private Tried tried(String name, Optional<Employee> whose, From from) {
    String account =
        whose
            .map(employee -> "p" + employee.id().value())
            .orElseGet(
                () -> Normalizer.normalize(name, Normalizer.Form.NFKD).toLowerCase(Locale.ROOT));
    boolean known = whose.isPresent() && browsers.isKnown(from.browserHash(), whose.get().id());
    return new Tried(account, from.origin(), known ? from.browserHash() : null);
  }

  private static void refuseIfToWait(Duration wait) {
    if (!wait.isZero()) {
      throw Problem.tooMany("SLOW_DOWN", (int) wait.toSeconds() + 1);
    }
  }

  /**
   * What is kept of a new password.
   *
   * @param present the one it replaces; null when there is none
   * @param names what the person is called
   * @param asking who waits for it
   * @throws Problem when it may not be chosen
   */
  public String hash(String password, @Nullable String present, List<String> names, String asking) {
    int shortest = policy.now().shortestPassword();
    Weakness weakness = PasswordRules.weakness(password, present, names, shortest);
    if (weakness != null) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "PASSWORD_" + weakness,
          Map.of("shortest", Integer.toString(shortest)));
    }
    return checks.await(asking, () -> encoder.encode(password));
  }
}
