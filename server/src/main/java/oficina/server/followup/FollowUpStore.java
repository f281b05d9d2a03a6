package oficina.server.followup;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What is to be done for callers, in the database. */
@Repository
class FollowUpStore {
  private static final String SELECT =
      "select id, call_id, other_key, what, due, assignee, made_by, made_at, done_at from follow_up ";

  private final JdbcClient jdbc;

  FollowUpStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Something to be done.
   *
   * @param call in which it was promised; null for none
   * @param other for whom, as {@link oficina.core.history.ToReturn#key} has it; null for nobody
   * @param done when it was done; null as long as it is not
   */
  record FollowUp(
      long id,
      @Nullable String call,
      @Nullable String other,
      String what,
      Instant due,
      PersonId assignee,
      PersonId madeBy,
      Instant madeAt,
      @Nullable Instant done) {}

  private static FollowUp followUp(ResultSet row, int n) throws SQLException {
    LocalDateTime done = row.getObject("done_at", LocalDateTime.class);
    return new FollowUp(
        row.getLong("id"),
        row.getString("call_id"),
        row.getString("other_key"),
        row.getString("what"),
        Times.instant(row.getObject("due", LocalDateTime.class)),
        new PersonId(row.getLong("assignee")),
        new PersonId(row.getLong("made_by")),
        Times.instant(row.getObject("made_at", LocalDateTime.class)),
        done == null ? null : Times.instant(done));
  }

  void add(FollowUp followUp) {
    jdbc.sql(
            """
            insert into follow_up (call_id, other_key, what, due, assignee, made_by, made_at)
            values (?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            followUp.call(),
            followUp.other(),
            followUp.what(),
            Times.utc(followUp.due()),
            followUp.assignee().value(),
            followUp.madeBy().value(),
            Times.utc(followUp.madeAt()))
        .update();
  }

  Optional<FollowUp> one(long id) {
    return jdbc.sql(SELECT + "where id = ?").param(id).query(FollowUpStore::followUp).optional();
  }

  /** What these people have still to do, what is due first coming first. */
  List<FollowUp> open(Collection<PersonId> assignees, int limit) {
    return jdbc.sql(
            SELECT
                + "where assignee in (:assignees) and done_at is null order by due, id limit :limit")
        .param("assignees", assignees.stream().map(PersonId::value).toList())
        .param("limit", limit)
        .query(FollowUpStore::followUp)
        .list();
  }

  /** What anybody has still to do for these. */
  List<FollowUp> openFor(Collection<String> others, int limit) {
    return others.isEmpty()
        ? List.of()
        : jdbc.sql(
                SELECT
                    + "where other_key in (:others) and done_at is null order by due, id limit :limit")
            .param("others", others)
            .param("limit", limit)
            .query(FollowUpStore::followUp)
            .list();
  }

  /**
   * @param at null to open it again
   */
  void done(long id, PersonId by, @Nullable Instant at) {
    jdbc.sql("update follow_up set done_at = ?, done_by = ? where id = ?")
        .params(at == null ? null : Times.utc(at), by.value(), id)
        .update();
  }

  /** Moves it to another time, or hands it on; whoever has it then is told anew when it is due. */
  void change(long id, String what, Instant due, PersonId assignee) {
    jdbc.sql("update follow_up set what = ?, due = ?, assignee = ?, told = false where id = ?")
        .params(what, Times.utc(due), assignee.value(), id)
        .update();
  }

  /** What has become due since the last time; each is returned once. */
  @Transactional
  List<FollowUp> takeDue(Instant now) {
    List<FollowUp> due =
        jdbc.sql(SELECT + "where told = false and done_at is null and due <= ? for update")
            .param(Times.utc(now))
            .query(FollowUpStore::followUp)
            .list();
    if (!due.isEmpty()) {
      jdbc.sql("update follow_up set told = true where id in (:ids)")
          .param("ids", due.stream().map(FollowUp::id).toList())
          .update();
    }
    return due;
  }
}
