package oficina.server.history;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import oficina.core.history.Part;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Component;

/** Entries of the history as a file (CSV, RFC 4180), times in UTC. */
@Component
class HistoryFile {
  private static final CSVFormat FORMAT =
      CSVFormat.RFC4180
          .builder()
          .setHeader(
              "began",
              "ended",
              "direction",
              "name",
              "number",
              "line",
              "rang_seconds",
              "talked_seconds",
              "held_seconds",
              "result",
              "message",
              "recorded")
          .get();

  private final Parties parties;

  HistoryFile(Parties parties) {
    this.parties = parties;
  }

  String of(List<HistoryStore.Stored> entries) {
    StringWriter file = new StringWriter();
    try (CSVPrinter csv = new CSVPrinter(file, FORMAT)) {
      for (HistoryStore.Stored entry : entries) {
        Part part = entry.part();
        PartyView other = parties.view(part.other(), part.person(), part.call());
        csv.printRecord(
            part.began(),
            part.ended(),
            part.direction(),
            other.name(),
            other.number(),
            parties.groupLine(part.line()),
            part.rang().toSeconds(),
            part.talked().toSeconds(),
            part.held().toSeconds(),
            part.result(),
            part.message(),
            part.recorded());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e); // nothing is written but in memory
    }
    return file.toString();
  }
}
