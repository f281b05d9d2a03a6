package oficina.server.administration;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes back that somebody has left, or that a line was taken away: for an hour, as long as this
 * server runs, it is known what went with them.
 */
@Repository
class TakenBackStore {
  private static final Duration KNOWN_FOR = Duration.ofHours(1);

  private final JdbcClient jdbc;
  private final Cache<Party, Behind> behind =
      Caffeine.newBuilder().expireAfterWrite(KNOWN_FOR).maximumSize(100).build();

  TakenBackStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Rows of a table that are deleted with whoever goes. */
  private record Rows(String table, List<Map<String, Object>> rows) {}

  /**
   * What somebody was, and what went with them.
   *
   * @param was columns that become others when they go
   * @param back makes these what they were
   */
  private record Behind(Map<String, Object> was, String back, List<Rows> rows) {
    String text(String column) {
      Object value = was.get(column);
      return value == null ? "" : value.toString();
    }
  }

  /** Somebody is about to leave. */
  void leaves(Party.Employee person) {
    long id = person.id().value();
    behind.put(
        person,
        new Behind(
            row(
                "select id, extension, direct_number as number, mobile, password_hash, sign_in_name"
                    + " from person where id = :id",
                id),
            "update person set has_left = false, extension = :extension, direct_number = :number,"
                + " mobile = :mobile, password_hash = :password_hash,"
                + " sign_in_name = :sign_in_name where id = :id and name <> ''",
            List.of(rows("group_member", "person_id = :id", person, id))));
  }

  /** A line is about to be taken away, and nobody needs it. */
  void goes(Party.Members line) {
    long id = line.id().value();
    behind.put(
        line,
        new Behind(
            row("select id, extension, number from ring_group where id = :id", id),
            "update ring_group set gone = false, extension = :extension, number = :number"
                + " where id = :id",
            List.of(
                rows("group_member", "group_id = :id", line, id),
                rows("queue", "group_id = :id", line, id),
                rows("line_music", "group_id = :id", line, id),
                rows("call_rules", "owner_key = :key", line, id),
                rows("greeting", "mailbox = :key", line, id),
                rows("to_return", "list = :key", line, id))));
  }

  private Map<String, Object> row(String sql, long id) {
    return jdbc.sql(sql).param("id", id).query().singleRow();
  }

  private Rows rows(String table, String which, Party whose, long id) {
    return new Rows(
        table,
        jdbc.sql("select * from " + table + " where " + which)
            .param("id", id)
            .param("key", Owner.key(whose))
            .query()
            .listOfRows());
  }

  /**
   * They are there again, with all that went with them.
   *
   * @param given whoever has their extension or number meanwhile keeps it
   * @throws Problem when that is no longer known, or somebody else has what was theirs
   */
  @Transactional
  public void comesBack(Party gone, Given given) {
    Behind known = behind.getIfPresent(gone);
    if (known == null) {
      throw tooLate();
    }
    given.refuseTaken(known.text("extension"), known.text("number"));
    if (jdbc.sql(known.back).params(known.was).update() == 0) {
      throw tooLate(); // nothing is left of them
    }
    known.rows.forEach(this::insert);
    behind.invalidate(gone);
  }

  private static Problem tooLate() {
    return new Problem(HttpStatus.CONFLICT, "TOO_LATE_TO_TAKE_BACK");
  }

  /** What they belonged to may be gone meanwhile: then that part stays away. */
  private void insert(Rows of) {
    for (Map<String, Object> row : of.rows) {
      String columns =
          row.keySet().stream().map(each -> "`" + each + "`").collect(Collectors.joining(", "));
      String values =
          row.keySet().stream().map(each -> ":" + each).collect(Collectors.joining(", "));
      jdbc.sql("insert ignore into %s (%s) values (%s)".formatted(of.table, columns, values))
          .params(row)
          .update();
    }
  }
}
