package oficina.server.recordings;

import java.util.List;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Notes at a moment of a recording. Whoever asks has asked whether it may be heard. */
@Repository
class RemarkStore {
  private final JdbcClient jdbc;

  RemarkStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * A note at a moment.
   *
   * @param at milliseconds from the beginning
   */
  record Remark(long id, long at, String text, PersonId by) {}

  List<Remark> of(long recording) {
    return jdbc.sql("select * from recording_remark where recording_id = ? order by at_ms, id")
        .param(recording)
        .query(
            (row, n) ->
                new Remark(
                    row.getLong("id"),
                    row.getLong("at_ms"),
                    row.getString("text"),
                    new PersonId(row.getLong("by_person"))))
        .list();
  }

  void add(long recording, long at, String text, PersonId by) {
    jdbc.sql(
            "insert into recording_remark (recording_id, at_ms, text, by_person)"
                + " values (?, ?, ?, ?)")
        .params(recording, at, text, by.value())
        .update();
  }

  /** Removes one that this person has written; false when there is none. */
  boolean remove(long recording, long id, PersonId by) {
    return jdbc.sql(
                "delete from recording_remark where recording_id = ? and id = ? and by_person = ?")
            .params(recording, id, by.value())
            .update()
        > 0;
  }
}
