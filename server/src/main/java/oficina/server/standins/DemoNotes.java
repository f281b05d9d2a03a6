package oficina.server.standins;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import oficina.core.history.Part;
import oficina.core.history.ToReturn;
import oficina.server.followup.PromisedBefore;
import oficina.server.office.DemoOffice;
import org.apache.commons.csv.CSVRecord;

/** What people wrote and promised in the calls of the last days of a new demo office. */
record DemoNotes(PromisedBefore promised) {

  /**
   * Each line belongs to one of these calls, the latest first.
   *
   * @param spoken calls in which somebody of the office spoke with an outsider, latest first
   */
  void add(List<Part> spoken, Instant now) {
    List<CSVRecord> lines = DemoOffice.read("notes.csv");
    for (int i = 0; i < Math.min(lines.size(), spoken.size()); i++) {
      CSVRecord line = lines.get(i);
      Part part = spoken.get(i);
      String other = ToReturn.key(part.other());
      promised.note(
          part.call(),
          part.person(),
          other,
          line.get("title"),
          Objects.requireNonNullElse(line.get("text"), ""),
          Objects.requireNonNullElse(line.get("outcome"), ""),
          part.ended());
      if (line.get("promised") != null) {
        Duration in = Duration.ofMinutes(Long.parseLong(line.get("due_in_minutes")));
        promised.followUp(
            part.call(), part.person(), other, line.get("promised"), now.plus(in), part.ended());
      }
    }
  }
}
