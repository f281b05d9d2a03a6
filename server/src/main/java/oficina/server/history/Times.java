package oficina.server.history;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;

/** Times in the database are in UTC and have no zone there. */
final class Times {
  private Times() {}

  static Instant instant(LocalDateTime utc) {
    return utc.toInstant(ZoneOffset.UTC);
  }

  static LocalDateTime utc(Instant time) {
    return LocalDateTime.ofInstant(time, ZoneOffset.UTC);
  }
}
