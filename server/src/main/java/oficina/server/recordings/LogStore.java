package oficina.server.recordings;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Who did what with recordings. The database itself lets nobody change it. */
@Repository
class LogStore {
  /** Whoever goes on listening, or seeks, has listened once. */
  private static final Duration ONCE = Duration.ofMinutes(10);

  private final JdbcClient jdbc;

  LogStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What can be done with a recording. */
  enum Deed {
    LISTENED,
    READ,
    SAVED,
    HANDED_ON,
    TAKEN_BACK,
    KEPT,
    REMOVED,
    RESTORED,
    /** By the office, after the time for which recordings are kept. */
    FORGOTTEN
  }

  /** The recording something was done with, as it is known after it is gone. */
  record About(long recording, PersonId owner, Party other, Instant began) {}

  /**
   * Something that was done.
   *
   * @param by null for the office itself
   * @param about to whom, until when, or in which form
   */
  record Entry(long id, About of, Instant at, @Nullable PersonId by, Deed deed, String about) {}

  private static final RowMapper<Entry> ENTRY =
      (row, n) -> {
        Long by = row.getObject("by_person", Long.class);
        return new Entry(
            row.getLong("id"),
            new About(
                row.getLong("recording_id"),
                new PersonId(row.getLong("owner")),
                CoreJson.JSON.readValue(row.getString("other"), Party.class),
                Times.instant(row.getObject("began", LocalDateTime.class))),
            Times.instant(row.getObject("at", LocalDateTime.class)),
            by == null ? null : new PersonId(by),
            Deed.valueOf(row.getString("deed")),
            row.getString("about"));
      };

  void add(About of, Instant at, @Nullable PersonId by, Deed deed, String about) {
    jdbc.sql(
            """
            insert into recording_log
              (recording_id, owner, other, began, at, by_person, deed, about)
            values (:recording, :owner, :other, :began, :at, :by, :deed, :about)
            """)
        .param("recording", of.recording())
        .param("owner", of.owner().value())
        .param("other", CoreJson.JSON.writerFor(Party.class).writeValueAsString(of.other()))
        .param("began", Times.utc(of.began()))
        .param("at", Times.utc(at))
        .param("by", by == null ? null : by.value())
        .param("deed", deed.name())
        .param("about", about)
        .update();
  }

  /** The same as {@link #add}, unless it was done just before. */
  void addOnce(About of, Instant at, PersonId by, Deed deed) {
    boolean justNow =
        jdbc.sql(
                    """
                select count(*) from recording_log
                where recording_id = ? and by_person = ? and deed = ? and at > ?
                """)
                .params(of.recording(), by.value(), deed.name(), Times.utc(at.minus(ONCE)))
                .query(Integer.class)
                .single()
            > 0;
    if (!justNow) {
      add(of, at, by, deed, "");
    }
  }

  /** What was done with one, latest first. */
  List<Entry> of(long recording) {
    return jdbc.sql("select * from recording_log where recording_id = ? order by id desc")
        .param(recording)
        .query(ENTRY)
        .list();
  }

  /** What was done with all, latest first. */
  List<Entry> all(long before, int limit) {
    return jdbc.sql("select * from recording_log where id < ? order by id desc limit ?")
        .params(before, limit)
        .query(ENTRY)
        .list();
  }
}
