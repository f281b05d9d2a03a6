package oficina.server.rules;

import com.github.mangstadt.vinnie.SyntaxStyle;
import com.github.mangstadt.vinnie.VObjectProperty;
import com.github.mangstadt.vinnie.io.Context;
import com.github.mangstadt.vinnie.io.SyntaxRules;
import com.github.mangstadt.vinnie.io.VObjectDataAdapter;
import com.github.mangstadt.vinnie.io.VObjectPropertyValues;
import com.github.mangstadt.vinnie.io.VObjectReader;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import oficina.server.door.Moments;
import oficina.server.problems.Problem;
import oficina.server.uploads.TextFile;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;

/**
 * Reads the days of a calendar (RFC 5545): each event's first day, and those up to its end. What
 * comes back every year is taken for the next ten.
 */
final class HolidayFile {
  private static final int LONGEST_DAYS = 31;
  private static final int YEARS = 10;

  /** Far more than an office can have: whatever comes then is not read. */
  private static final int MOST = 5_000;

  private HolidayFile() {}

  /**
   * The days with their names; empty when there are none in it.
   *
   * @throws Problem when it is no calendar
   */
  static Map<LocalDate, String> read(Path file) throws IOException {
    Events events = new Events();
    try (Reader text = TextFile.open(file)) {
      new VObjectReader(text, new SyntaxRules(SyntaxStyle.NEW)).parse(events);
    } catch (IOException | DateTimeException e) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "CALENDAR_UNREADABLE");
    }
    return events.days;
  }

  private static final class Events extends VObjectDataAdapter {
    private final Map<LocalDate, String> days = new HashMap<>();
    private @Nullable LocalDate first;
    private @Nullable LocalDate end;
    private String name = "";
    private boolean yearly;

    @Override
    public void onComponentBegin(String component, Context context) {
      if (component.equalsIgnoreCase("VEVENT")) {
        first = null;
        end = null;
        name = "";
        yearly = false;
      }
    }

    @Override
    public void onProperty(VObjectProperty property, Context context) {
      String value = property.getValue();
      switch (property.getName().toUpperCase(Locale.ROOT)) {
        case "DTSTART" -> first = day(value);
        case "DTEND" -> end = day(value);
        case "SUMMARY" -> name = VObjectPropertyValues.unescape(value);
        case "RRULE" -> yearly = value.contains("FREQ=YEARLY");
        default -> {}
      }
    }

    private static LocalDate day(String value) {
      if (value.length() < 8) {
        throw new DateTimeException("no day: " + value);
      }
      return LocalDate.parse(value.substring(0, 8), DateTimeFormatter.BASIC_ISO_DATE);
    }

    @Override
    public void onComponentEnd(String component, Context context) {
      if (component.equalsIgnoreCase("VEVENT") && first != null) {
        for (int year = 0; year < (yearly ? YEARS : 1) && days.size() < MOST; year++) {
          LocalDate day = first.plusYears(year);
          if (!Moments.allowed(day)) {
            throw new DateTimeException("no day of an office: " + day);
          }
          LocalDate last = end == null ? day.plusDays(1) : end.plusYears(year);
          int most = LONGEST_DAYS;
          do {
            days.put(day, name.substring(0, Math.min(name.length(), 120)));
            day = day.plusDays(1);
          } while (day.isBefore(last) && --most > 0);
        }
      }
    }
  }
}
