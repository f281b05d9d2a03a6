package oficina.core.register;

import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import oficina.core.files.Cells;
import oficina.core.files.CsvReader;
import oficina.core.files.Lines;
import org.jspecify.annotations.Nullable;

/**
 * The register of people as lines with commas, semicolons or tabs between (RFC 4180). The first
 * line names the columns, in any order; those that are not known are passed over. A broken line
 * spoils no other.
 */
public final class PeopleFile {
  /** As they are called in a file that is written. */
  public static final List<String> COLUMNS =
      List.of(
          "name",
          "sign_in_name",
          "role",
          "extension",
          "direct_number",
          "team",
          "site",
          "mail",
          "mobile");

  /** More than that many people are no office but a mistake. */
  public static final int MOST = 20_000;

  private PeopleFile() {}

  /** What cannot be read of a file. */
  public enum Broken {
    /** The first line names neither a name nor an extension. */
    NO_COLUMNS,
    /** Quotation marks that do not match. */
    LINE_BROKEN,
    /** From here on nothing was read. */
    REST_NOT_READ
  }

  /**
   * A line of a file.
   *
   * @param line on which it begins, from 1
   * @param entry as it was typed, nothing checked; null when it is broken
   * @param absent columns the file does not have: of them it says nothing
   * @param text what is broken; empty when nothing is
   */
  public record Row(
      int line,
      @Nullable PersonEntry entry,
      Set<String> absent,
      @Nullable Broken broken,
      String text) {
    static Row broken(int line, Broken how, String text) {
      return new Row(line, null, Set.of(), how, text);
    }
  }

  /** The lines of a file, in their order. */
  public static List<Row> read(Reader file) throws IOException {
    Lines lines = new Lines(file, CsvReader.LONGEST);
    Lines.Line first = lines.next();
    String head = first == null ? "" : first.text();
    char delimiter = CsvReader.delimiter(head);
    List<String> columns =
        CsvReader.line(head, delimiter).stream()
            .map(each -> each.strip().toLowerCase(Locale.ROOT).replaceAll("[ -]", "_"))
            .toList();
    if (!columns.contains("name") || !columns.contains("extension")) {
      return List.of(Row.broken(1, Broken.NO_COLUMNS, head));
    }
    Set<String> absent =
        COLUMNS.stream().filter(each -> !columns.contains(each)).collect(Collectors.toSet());
    List<Row> rows = new ArrayList<>();
    CsvReader records = new CsvReader(lines, delimiter);
    for (CsvReader.Row row = records.next(); row != null; row = records.next()) {
      if (rows.size() == MOST) {
        rows.add(Row.broken(row.line(), Broken.REST_NOT_READ, ""));
        break;
      }
      rows.add(
          row.broken() != null
              ? Row.broken(row.line(), Broken.LINE_BROKEN, row.broken())
              : new Row(row.line(), entry(columns, row.values()), absent, null, ""));
    }
    return rows;
  }

  private static PersonEntry entry(List<String> columns, List<String> values) {
    List<String> own =
        COLUMNS.stream()
            .map(
                column -> {
                  int at = columns.indexOf(column);
                  return at < 0 || at >= values.size() ? "" : values.get(at).strip();
                })
            .toList();
    return new PersonEntry(
        own.get(0),
        own.get(1),
        own.get(2),
        own.get(3),
        own.get(4),
        own.get(5),
        own.get(6),
        own.get(7),
        own.get(8));
  }

  /** A file that reads as these. */
  public static String write(Collection<PersonEntry> people) {
    return Cells.csv(COLUMNS, people.stream().map(PersonEntry::values).toList());
  }
}
