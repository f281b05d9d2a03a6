package oficina.core.files;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * Reads records of values with something between them (RFC 4180), which may span several lines. A
 * record that is broken spoils no other: reading goes on with the line after the one on which it
 * began. What {@link Cells} has made harmless comes in as it was.
 */
public final class CsvReader {
  /** The longest record, in characters; so much is kept at once. */
  public static final int LONGEST = 1 << 16;

  private final Lines lines;
  private final CSVFormat format;
  private final Deque<Lines.Line> ahead = new ArrayDeque<>();
  private final Deque<Row> ready = new ArrayDeque<>();
  private int charactersAhead;
  private boolean over;

  /**
   * A record.
   *
   * @param line of the file on which it begins, from 1
   * @param values none when it is broken
   * @param broken its first line, when it cannot be read; null when it can
   */
  public record Row(int line, List<String> values, @Nullable String broken) {}

  /**
   * @param lines none longer than {@link #LONGEST}; those before the first record are taken already
   * @param delimiter what stands between values
   */
  public CsvReader(Lines lines, char delimiter) {
    this.lines = lines;
    this.format = format(delimiter);
  }

  /** What is read and written, with this between values. */
  static CSVFormat format(char delimiter) {
    return CSVFormat.RFC4180.builder().setDelimiter(delimiter).get();
  }

  /** The next record in which something stands; null at the end of the file. */
  public @Nullable Row next() throws IOException {
    while (ready.isEmpty()) {
      lookAhead();
      if (ahead.isEmpty()) {
        return null;
      }
      read();
    }
    return ready.poll();
  }

  private void lookAhead() throws IOException {
    while (!over && charactersAhead < LONGEST) {
      Lines.Line line = lines.next();
      if (line == null) {
        over = true;
      } else {
        ahead.add(line);
        charactersAhead += line.text().length() + 1;
      }
    }
  }

  /** Everything ahead up to what is broken, or may not be whole yet. */
  private void read() throws IOException {
    StringBuilder text = new StringBuilder();
    ahead.stream()
        .takeWhile(line -> !line.cut())
        .forEach(line -> text.append(line.text()).append('\n'));
    int done = 0;
    try (CSVParser parser = CSVParser.parse(new StringReader(text.toString()), format)) {
      for (CSVRecord record : parser) {
        List<String> values = record.stream().map(Cells::in).toList();
        if (values.stream().anyMatch(value -> !value.isBlank())) {
          ready.add(new Row(ahead.getFirst().number(), values, null));
        }
        while (done < parser.getCurrentLineNumber()) {
          drop();
          done++;
        }
      }
    } catch (UncheckedIOException | IllegalStateException e) {
      // Quotation marks that do not match, or whose end is further ahead.
    }
    if (done == 0) {
      Lines.Line broken = drop();
      ready.add(new Row(broken.number(), List.of(), broken.text()));
    }
  }

  private Lines.Line drop() {
    Lines.Line line = ahead.removeFirst();
    charactersAhead -= line.text().length() + 1;
    return line;
  }

  /**
   * What stands between values: a comma, semicolon or tab, whichever the first line has most of.
   */
  public static char delimiter(String first) {
    return Stream.of(',', ';', '\t')
        .max(Comparator.comparingLong(each -> first.chars().filter(c -> c == each).count()))
        .orElse(',');
  }

  /** The values of one line that stands alone; none when it is broken. */
  public static List<String> line(String text, char delimiter) {
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format(delimiter))) {
      return parser.stream().findFirst().map(CSVRecord::toList).orElseGet(ArrayList::new);
    } catch (IOException | UncheckedIOException | IllegalStateException e) {
      return List.of();
    }
  }
}
