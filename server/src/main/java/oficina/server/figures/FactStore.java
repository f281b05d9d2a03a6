package oficina.server.figures;

import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import oficina.core.figures.Fact;
import oficina.core.figures.Finished;
import oficina.core.figures.Served;
import oficina.core.figures.Wait;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Lately;
import oficina.server.database.JournalDatabase;
import oficina.server.database.Times;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** Writes what has become a fact, in the transaction of the events it follows from. */
@Repository
public class FactStore {
  private final JdbcTemplate jdbc;

  FactStore(JournalDatabase database) {
    jdbc = database.jdbc();
  }

  /** Writes these; what is there already, because it was written twice, stays. */
  public void write(List<Fact> facts) {
    batch(
        """
        insert ignore into queue_wait (call_id, group_id, number, entered, waited_ms, outcome, person_id)
        values (?, ?, nullif(?, ''), ?, ?, ?, nullif(?, 0))
        """,
        rows(facts, Wait.class, FactStore::row));
    batch(
        """
        insert ignore into queue_served (call_id, group_id, person_id, answered, talked_ms)
        values (?, ?, ?, ?, ?)
        """,
        rows(facts, Served.class, FactStore::row));
    batch(
        """
        insert ignore into queue_finished (group_id, person_id, began, took_ms)
        values (?, ?, ?, ?)
        """,
        rows(facts, Finished.class, FactStore::row));
  }

  /** What the calls that are over by now have left behind since then. */
  public Lately lately(Instant since) {
    return new Lately(
        jdbc.query(
            """
            select person_id, answered, talked_ms from queue_served
            where answered >= ? order by answered, id
            """,
            (row, n) -> {
              Instant answered = Times.instant(row.getObject("answered", LocalDateTime.class));
              return new Lately.Taken(
                  new PersonId(row.getLong("person_id")),
                  answered,
                  answered.plusMillis(row.getLong("talked_ms")));
            },
            since),
        jdbc.query(
            """
            select group_id, number, max(entered) as last from queue_wait
            where entered >= ? and number is not null group by group_id, number order by last
            """,
            (row, n) ->
                new Lately.Came(
                    new GroupId(row.getLong("group_id")),
                    new PhoneNumber(row.getString("number")),
                    Times.instant(row.getObject("last", LocalDateTime.class))),
            since));
  }

  private interface Row<F> {
    Object[] of(F fact);
  }

  private static <F> List<Object[]> rows(List<Fact> facts, Class<F> kind, Row<F> row) {
    return facts.stream().filter(kind::isInstance).map(kind::cast).map(row::of).toList();
  }

  private static Object[] row(Wait wait) {
    return new Object[] {
      wait.call().value(),
      wait.line().value(),
      wait.number() == null ? "" : wait.number().e164(),
      wait.entered(),
      wait.waited().toMillis(),
      wait.outcome().name(),
      wait.by() == null ? 0 : wait.by().value()
    };
  }

  private static Object[] row(Served served) {
    return new Object[] {
      served.call().value(),
      served.line().value(),
      served.person().value(),
      served.answered(),
      served.talked().toMillis()
    };
  }

  private static Object[] row(Finished finished) {
    return new Object[] {
      finished.line().value(),
      finished.person().value(),
      finished.began(),
      finished.took().toMillis()
    };
  }

  private void batch(String sql, List<Object[]> rows) {
    if (!rows.isEmpty()) {
      jdbc.batchUpdate(sql, rows);
    }
  }
}
