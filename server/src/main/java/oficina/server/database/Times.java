package oficina.server.database;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;

/** Times in the database are in UTC and have no zone there. */
public final class Times {
  private Times() {}

  public static Instant instant(LocalDateTime utc) {
    return utc.toInstant(ZoneOffset.UTC);
  }

  public static LocalDateTime utc(Instant time) {
    return LocalDateTime.ofInstant(time, ZoneOffset.UTC);
  }
}
