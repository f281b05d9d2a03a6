package oficina.core.files;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collection;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;

/**
 * Values of tables that go out. A program that calculates with tables takes a value that begins
 * like a formula for one and carries it out, whoever has written it; with an apostrophe before it
 * it is a text. Coming in again it is what it was.
 */
public final class Cells {
  private static final Pattern FORMULA = Pattern.compile("'*[=+\\-@\\t\\r].*", Pattern.DOTALL);

  /** A telephone number as E.164 has it is a number whatever is done with it. */
  private static final Pattern E164 = Pattern.compile("\\+[0-9]{1,15}");

  private Cells() {}

  /** A value as it goes out. */
  static String out(String value) {
    return isFormula(value) ? "'" + value : value;
  }

  /** A value as it came in. */
  static String in(String cell) {
    return cell.startsWith("'") && isFormula(cell.substring(1)) ? cell.substring(1) : cell;
  }

  private static boolean isFormula(String value) {
    return FORMULA.matcher(value).matches() && !E164.matcher(value).matches();
  }

  /**
   * A table with commas between its values (RFC 4180).
   *
   * @param head the names of its columns
   * @param rows what stands in them; null where nothing does
   */
  public static String csv(
      List<String> head, Collection<? extends List<? extends @Nullable Object>> rows) {
    StringBuilder file = new StringBuilder();
    try (CSVPrinter csv = new CSVPrinter(file, CsvReader.format(','))) {
      csv.printRecord(head);
      for (List<? extends @Nullable Object> row : rows) {
        csv.printRecord(row.stream().map(each -> each == null ? "" : out(each.toString())));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e); // nothing is written but in memory
    }
    return file.toString();
  }
}
