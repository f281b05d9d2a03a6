package oficina.server.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import oficina.core.call.Owner;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.history.ToReturn;
import oficina.server.database.JournalDatabase;
import oficina.server.json.CoreJson;
import oficina.server.returning.ToReturnStore;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** Writes the entries that follow from calls, with all that they are found by. */
@Repository
public class HistoryWritingStore {
  private static final int AT_ONCE = 100;

  private final JdbcTemplate batch;
  private final HistorySearchStore search;
  private final ToReturnStore toReturn;

  HistoryWritingStore(JournalDatabase journal, HistorySearchStore search, ToReturnStore toReturn) {
    batch = journal.jdbc();
    this.search = search;
    this.toReturn = toReturn;
  }

  /** Writes entries, each in the place of an earlier one of the same call and person. */
  public void write(List<CallRecords.Entries> derived) {
    if (derived.isEmpty()) {
      return;
    }
    // In a map: of several in one go the last holds.
    Map<String, CallRecords.Entries> courses = new LinkedHashMap<>();
    Map<String, Part> parts = new LinkedHashMap<>();
    for (CallRecords.Entries entries : derived) {
      courses.put(entries.call().value(), entries);
      entries.parts().forEach(part -> parts.put(part.call() + "/" + part.person(), part));
    }
    List<CallRecords.Entries> calls = List.copyOf(courses.values());
    for (int from = 0; from < calls.size(); from += AT_ONCE) {
      writeCourses(calls.subList(from, Math.min(calls.size(), from + AT_ONCE)));
    }
    List<Part> all = List.copyOf(parts.values());
    Map<Part, HistorySearchStore.Sought> sought = new LinkedHashMap<>();
    all.forEach(part -> sought.put(part, search.of(part)));
    for (int from = 0; from < all.size(); from += AT_ONCE) {
      writeAtOnce(all.subList(from, Math.min(all.size(), from + AT_ONCE)), sought);
    }
    Map<HistorySearchStore.Sought, Instant> last = new LinkedHashMap<>();
    sought.forEach((part, by) -> last.merge(by, part.began(), (a, b) -> a.isAfter(b) ? a : b));
    search.write(last);
    toReturn.follow(all);
  }

  private void writeCourses(List<CallRecords.Entries> calls) {
    List<Object> values = new ArrayList<>();
    for (CallRecords.Entries each : calls) {
      values.add(each.call().value());
      values.add(CoreJson.JSON.writeValueAsString(each.course()));
    }
    batch.update(
        "insert into call_course (call_id, body) values "
            + String.join(", ", Collections.nCopies(calls.size(), "(?, ?)"))
            + " on duplicate key update body = values(body)",
        values.toArray());
  }

  /**
   * One statement for all of them: the database takes them several times faster than one by one.
   */
  private void writeAtOnce(List<Part> entries, Map<Part, HistorySearchStore.Sought> sought) {
    String row = "(?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)";
    List<@Nullable Object> values = new ArrayList<>();
    entries.forEach(part -> values.addAll(values(part, sought.get(part))));
    batch.update(
        """
        insert into history (person_id, call_id, direction, result, began, ended, rang_ms,
          talked_ms, held_ms, body, kind, search_id, recorded, with_message, other_key, line_key)
        values\s"""
            + String.join(", ", Collections.nCopies(entries.size(), row))
            + """

        on duplicate key update result = values(result), ended = values(ended),
          rang_ms = values(rang_ms), talked_ms = values(talked_ms), held_ms = values(held_ms),
          body = values(body), kind = values(kind), search_id = values(search_id),
          recorded = values(recorded), with_message = values(with_message),
          other_key = values(other_key), line_key = values(line_key)
        """,
        values.toArray());
  }

  private static List<@Nullable Object> values(Part part, HistorySearchStore.Sought sought) {
    return Arrays.asList(
        part.person().value(),
        part.call().value(),
        part.direction().name(),
        part.result().name(),
        part.began(),
        part.ended(),
        part.rang().toMillis(),
        part.talked().toMillis(),
        part.held().toMillis(),
        CoreJson.JSON.writeValueAsString(part),
        sought.kind().name(),
        sought.id(),
        part.recorded(),
        part.message() == Part.Message.LEFT,
        ToReturn.key(part.other()),
        part.line() == null || part.line().group() == null ? null : Owner.key(part.line()));
  }
}
