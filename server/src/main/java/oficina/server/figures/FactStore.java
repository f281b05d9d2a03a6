package oficina.server.figures;

import java.util.List;
import oficina.core.figures.Fact;
import oficina.core.figures.Finished;
import oficina.core.figures.Served;
import oficina.core.figures.Wait;
import oficina.server.database.JournalDatabase;
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
        insert ignore into queue_wait (call_id, group_id, entered, waited_ms, outcome, person_id)
        values (?, ?, ?, ?, ?, nullif(?, 0))
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
