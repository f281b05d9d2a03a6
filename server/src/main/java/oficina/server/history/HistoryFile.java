package oficina.server.history;

import java.util.Arrays;
import java.util.List;
import oficina.core.files.Cells;
import oficina.core.history.Part;
import oficina.server.people.Parties;
import oficina.server.people.PartyView;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Entries of the history as a file (CSV, RFC 4180), times in UTC. */
@Component
class HistoryFile {
  private static final List<String> HEAD =
      List.of(
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
          "recorded");

  private final Parties parties;

  HistoryFile(Parties parties) {
    this.parties = parties;
  }

  String of(List<HistoryStore.Stored> entries) {
    return Cells.csv(HEAD, entries.stream().map(entry -> row(entry.part())).toList());
  }

  private List<@Nullable Object> row(Part part) {
    PartyView other = parties.view(part.other(), part.person(), part.call());
    return Arrays.asList(
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
}
