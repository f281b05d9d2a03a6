package oficina.server.database;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The place of a row in a list that has the latest first; pages send it back to get older ones. */
public record Cursor(Instant began, long id) {
  /** After everything there is. */
  public static final Cursor NEWEST =
      new Cursor(Instant.parse("9000-01-01T00:00:00Z"), Long.MAX_VALUE);

  /** An instant of the years that the database knows, and an identity. */
  private static final Pattern FORM = Pattern.compile("([12][0-9]{3}-[^_]{1,40})_([0-9]{1,18})");

  /** The place that a page sent; nothing when it is none. */
  public static Optional<Cursor> read(String text) {
    if (text.isEmpty()) {
      return Optional.of(NEWEST);
    }
    Matcher parts = FORM.matcher(text);
    try {
      return parts.matches()
          ? Optional.of(new Cursor(Instant.parse(parts.group(1)), Long.parseLong(parts.group(2))))
          : Optional.empty();
    } catch (DateTimeException | NumberFormatException e) {
      return Optional.empty();
    }
  }

  /** As it is sent to a page. */
  public String text() {
    return began + "_" + id;
  }
}
