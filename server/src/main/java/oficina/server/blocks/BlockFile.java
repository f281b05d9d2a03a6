package oficina.server.blocks;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import oficina.core.blocking.Block;
import oficina.core.files.CsvReader;
import oficina.core.files.Lines;
import oficina.core.people.PersonId;
import oficina.server.problems.Problem;
import oficina.server.uploads.TextFile;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads a table of callers to be blocked: the first column is the number, the second a note. */
@Component
class BlockFile {
  static final int LONGEST_NOTE = 200;

  /** As many as one person may block. */
  private static final int MOST = BlockStore.MOST_OF_AN_OWNER;

  /** So many lines that are no numbers are told; where there are far more, the rest is not read. */
  private static final int MOST_BAD_TOLD = 50;

  private final BlockReading reading;

  BlockFile(BlockReading reading) {
    this.reading = reading;
  }

  /** A line that is no number. */
  record BadLine(long line, String text) {
    private static final int SHOWN = 60;

    static BadLine of(int line, String text) {
      return new BadLine(line, text.substring(0, Math.min(SHOWN, text.length())));
    }
  }

  /**
   * What stands in a file.
   *
   * @param bad the first of the lines that are no numbers
   * @param restFrom the line from which on it was not read any more; null when all of it was
   */
  record Contents(List<Block> blocks, List<BadLine> bad, @Nullable Integer restFrom) {}

  Contents read(Path file, @Nullable PersonId owner, Block.Answer answer) throws IOException {
    List<Block> blocks = new ArrayList<>();
    List<BadLine> bad = new ArrayList<>();
    int broken = 0;
    try (Reader text = TextFile.open(file)) {
      CsvReader rows = new CsvReader(new Lines(text, CsvReader.LONGEST), ',');
      for (CsvReader.Row row = rows.next(); row != null; row = rows.next()) {
        if (blocks.size() >= MOST || broken >= Lines.MOST_WRONG) {
          return new Contents(blocks, bad, row.line());
        }
        List<Block> read = isHeading(row) ? List.of() : blocks(row, owner, answer);
        blocks.addAll(read);
        if (read.isEmpty() && !isHeading(row) && ++broken <= MOST_BAD_TOLD) {
          bad.add(BadLine.of(row.line(), row.broken() == null ? what(row) : row.broken()));
        }
      }
    }
    return new Contents(blocks, bad, null);
  }

  private static String what(CsvReader.Row row) {
    return row.values().get(0).strip();
  }

  /** What tables begin with. */
  private static boolean isHeading(CsvReader.Row row) {
    return row.line() == 1 && row.broken() == null && what(row).matches("\\p{L}[^0-9]*");
  }

  /** None when the row names nobody. */
  private List<Block> blocks(CsvReader.Row row, @Nullable PersonId owner, Block.Answer answer) {
    if (row.broken() != null || what(row).isEmpty()) {
      return List.of();
    }
    String note = row.values().size() > 1 ? row.values().get(1) : "";
    try {
      return reading.blocks(
          what(row), owner, answer, note.substring(0, Math.min(note.length(), LONGEST_NOTE)));
    } catch (Problem notANumber) {
      return List.of();
    }
  }
}
