package oficina.server.passwords;

import java.time.Duration;
import oficina.core.passwords.PasswordRules;
import oficina.server.door.Limits;
import oficina.server.office.OfficeStore;
import org.springframework.stereotype.Component;

/**
 * How long passwords have to be and sign-ins last in this office. Known in memory, since sign-ins
 * go on without the database.
 */
@Component
public class AccessPolicy {
  private static final String SHORTEST = "shortest-password";
  private static final String UNUSED = "sign-in-unused-hours";
  private static final String LONGEST = "sign-in-longest-days";

  private final OfficeStore settings;
  private volatile Access now;

  AccessPolicy(OfficeStore settings, Limits usual) {
    this.settings = settings;
    now =
        new Access(
            settings.setting(SHORTEST).map(Integer::valueOf).orElse(PasswordRules.SHORTEST),
            settings
                .setting(UNUSED)
                .map(hours -> Duration.ofHours(Long.parseLong(hours)))
                .orElse(usual.signInUnused()),
            settings
                .setting(LONGEST)
                .map(days -> Duration.ofDays(Long.parseLong(days)))
                .orElse(usual.signInLongest()));
  }

  /**
   * What applies.
   *
   * @param shortestPassword characters that a new password has at least
   * @param unused how long a sign-in lasts that nobody uses, in whole hours
   * @param longest how long a sign-in lasts at most, in whole days
   */
  public record Access(int shortestPassword, Duration unused, Duration longest) {}

  public Access now() {
    return now;
  }

  /** Applies from now on, also to those who are signed in; passwords there are stay good. */
  public void set(Access then) {
    settings.set(SHORTEST, Integer.toString(then.shortestPassword()));
    settings.set(UNUSED, Long.toString(then.unused().toHours()));
    settings.set(LONGEST, Long.toString(then.longest().toDays()));
    now = then;
  }
}
