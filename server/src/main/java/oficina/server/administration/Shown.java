package oficina.server.administration;

import java.util.Map;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/**
 * What somebody who changes something was shown before. Of two who change one thing at once the
 * later one is told, and replaces nothing they have not seen.
 */
final class Shown {
  private Shown() {}

  /** Another number whenever anything of it is different; the same after a restart. */
  static int version(Record body) {
    return body.toString().hashCode();
  }

  /**
   * Only while nobody else changes the office.
   *
   * @param version of what was shown; null for whatever there is
   * @throws Problem when it is not like that any more
   */
  static void check(@Nullable Integer version, Record now) {
    if (version != null && version != version(now)) {
      throw new Problem(HttpStatus.CONFLICT, "CHANGED_MEANWHILE", Map.of());
    }
  }
}
