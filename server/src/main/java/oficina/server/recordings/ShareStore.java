package oficina.server.recordings;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** To whom recordings were handed, and until when. */
@Repository
class ShareStore {
  private final JdbcClient jdbc;

  ShareStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A colleague who may hear a recording until then. */
  record Share(PersonId person, Instant until) {}

  /** Those to whom it is handed now. */
  List<Share> of(long recording, Instant now) {
    return jdbc.sql(
            """
            select person, until_at from recording_share
            where recording_id = ? and until_at > ? order by until_at
            """)
        .params(recording, Times.utc(now))
        .query(
            (row, n) ->
                new Share(
                    new PersonId(row.getLong("person")),
                    Times.instant(row.getObject("until_at", LocalDateTime.class))))
        .list();
  }

  void hand(long recording, PersonId to, Instant until) {
    jdbc.sql(
            """
            insert into recording_share (recording_id, person, until_at) values (?, ?, ?)
            on duplicate key update until_at = values(until_at)
            """)
        .params(recording, to.value(), Times.utc(until))
        .update();
  }

  void takeBack(long recording, PersonId from) {
    jdbc.sql("delete from recording_share where recording_id = ? and person = ?")
        .params(recording, from.value())
        .update();
  }
}
