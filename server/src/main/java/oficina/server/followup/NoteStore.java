package oficina.server.followup;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import oficina.core.call.CallId;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What people have written about their calls, in the database. */
@Repository
class NoteStore {
  private static final String SELECT =
      "select call_id, person_id, other_key, title, text, outcome, written_at from call_note ";

  private final JdbcClient jdbc;

  NoteStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * What somebody wrote about a call of theirs.
   *
   * @param other whom the call was with, as {@link oficina.core.history.ToReturn#key} has it; null
   *     when there is no telling
   * @param outcome one of the office's list, as it was then; empty for none
   */
  record Note(
      CallId call,
      PersonId person,
      @Nullable String other,
      String title,
      String text,
      String outcome,
      Instant written) {}

  private static Note note(ResultSet row, int n) throws SQLException {
    return new Note(
        new CallId(row.getString("call_id")),
        new PersonId(row.getLong("person_id")),
        row.getString("other_key"),
        row.getString("title"),
        row.getString("text"),
        row.getString("outcome"),
        Times.instant(row.getObject("written_at", LocalDateTime.class)));
  }

  Optional<Note> of(PersonId person, CallId call) {
    return jdbc.sql(SELECT + "where person_id = ? and call_id = ?")
        .params(person.value(), call.value())
        .query(NoteStore::note)
        .optional();
  }

  /** What this person wrote about these calls. */
  List<Note> of(PersonId person, Collection<String> calls) {
    return calls.isEmpty()
        ? List.of()
        : jdbc.sql(SELECT + "where person_id = :person and call_id in (:calls)")
            .param("person", person.value())
            .param("calls", calls)
            .query(NoteStore::note)
            .list();
  }

  /** What anybody wrote about calls with these, latest first. */
  List<Note> about(Collection<String> others, int limit) {
    return others.isEmpty()
        ? List.of()
        : jdbc.sql(
                SELECT
                    + "where other_key in (:others) and (title <> '' or text <> '')"
                    + " order by written_at desc limit :limit")
            .param("others", others)
            .param("limit", limit)
            .query(NoteStore::note)
            .list();
  }

  /** Writes a note in the place of what the person wrote about the call before. */
  void write(Note note) {
    jdbc.sql(
            """
            insert into call_note (call_id, person_id, other_key, title, text, outcome, written_at)
            values (?, ?, ?, ?, ?, ?, ?)
            on duplicate key update other_key = coalesce(other_key, values(other_key)),
              title = values(title), text = values(text), outcome = values(outcome),
              written_at = values(written_at)
            """)
        .params(
            note.call().value(),
            note.person().value(),
            note.other(),
            note.title(),
            note.text(),
            note.outcome(),
            Times.utc(note.written()))
        .update();
  }
}
