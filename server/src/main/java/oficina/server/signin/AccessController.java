package oficina.server.signin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Duration;
import oficina.core.passwords.PasswordRules;
import oficina.server.ledger.OfficeLog;
import oficina.server.passwords.AccessPolicy;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** For administrators: how long passwords have to be, and how long sign-ins last. */
@RestController
@RequestMapping("/api/office/access")
class AccessController {
  private static final int LONGEST_PASSWORD = 40;

  private final AccessPolicy policy;
  private final OfficeLog log;

  AccessController(AccessPolicy policy, OfficeLog log) {
    this.policy = policy;
    this.log = log;
  }

  /**
   * How long passwords have to be, and how long sign-ins last.
   *
   * @param shortestPassword characters that a new password has at least
   * @param unusedHours hours that a sign-in lasts which nobody uses
   * @param longestDays days that a sign-in lasts at most
   */
  record AccessBody(
      @Min(PasswordRules.FEWEST) @Max(LONGEST_PASSWORD) int shortestPassword,
      @Min(1) @Max(720) int unusedHours,
      @Min(1) @Max(365) int longestDays) {

    static AccessBody of(AccessPolicy.Access access) {
      return new AccessBody(
          access.shortestPassword(),
          (int) access.unused().toHours(),
          (int) access.longest().toDays());
    }

    /** For the log. */
    String inWords() {
      return "%d characters, %d h, %d d".formatted(shortestPassword, unusedHours, longestDays);
    }

    AccessPolicy.Access access() {
      return new AccessPolicy.Access(
          shortestPassword, Duration.ofHours(unusedHours), Duration.ofDays(longestDays));
    }
  }

  /** What applies now. */
  @GetMapping
  AccessBody now() {
    return AccessBody.of(policy.now());
  }

  /** Have this apply from now on, also to those who are signed in. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@Valid @RequestBody AccessBody body) {
    log.changing("access", () -> now().inWords(), () -> policy.set(body.access()));
  }
}
