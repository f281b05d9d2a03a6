package oficina.server.exchange;

import java.util.ArrayList;
import java.util.List;
import oficina.core.exchange.ExchangeEvent;
import oficina.core.history.Part;
import oficina.server.history.HistoryStore;
import oficina.server.json.EventJson;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The journal: every event of the exchange, and what is derived from it, written in one go. */
@Repository
public class JournalStore {
  /** In the place of nothing: batches go in at once only when each row has values of one type. */
  private static final String NONE = "";

  private final JdbcTemplate jdbc;
  private final HistoryStore history;

  JournalStore(JdbcTemplate jdbc, HistoryStore history) {
    this.jdbc = jdbc;
    this.history = history;
  }

  /**
   * An event and its place in the journal.
   *
   * @param seq grows by one with each event
   */
  public record Entry(long seq, ExchangeEvent event) {}

  /**
   * Writes all of it or nothing. Writing the same again changes nothing, so that a write whose
   * outcome was never learnt can be repeated.
   */
  @Transactional
  public void append(List<Entry> entries, List<Part> parts) {
    List<Object[]> rows = new ArrayList<>(entries.size());
    List<Object[]> begun = new ArrayList<>();
    List<Object[]> ended = new ArrayList<>();
    for (Entry entry : entries) {
      ExchangeEvent event = entry.event();
      String call = event.call().value();
      rows.add(
          new Object[] {
            entry.seq(),
            call,
            event.changesToo() == null ? NONE : event.changesToo().value(),
            event.at(),
            EventJson.type(event),
            EventJson.write(event)
          });
      if (event.begins()) {
        begun.add(new Object[] {call});
      } else if (event.ends()) {
        ended.add(new Object[] {call});
      }
    }
    batch(
        """
        insert ignore into journal (seq, call_id, other_call, at, type, body)
        values (?, ?, ?, ?, ?, ?)
        """,
        rows);
    batch("insert ignore into open_call (call_id) values (?)", begun);
    batch("delete from open_call where call_id = ?", ended);
    history.write(parts);
  }

  private void batch(String sql, List<Object[]> rows) {
    if (!rows.isEmpty()) {
      jdbc.batchUpdate(sql, rows);
    }
  }

  /**
   * The events of all calls and wishes that have not ended, in order, together with those of ended
   * ones that they came from or that took a party out of them.
   */
  public List<ExchangeEvent> unended() {
    return jdbc.query(
        """
        with recursive wanted as (
          select call_id from open_call
          union
          select if(j.call_id = w.call_id, j.other_call, j.call_id)
          from wanted w join journal j
            on j.other_call <> '' and (j.call_id = w.call_id or j.other_call = w.call_id))
        select j.type, j.body from journal j join wanted w on w.call_id = j.call_id order by j.seq
        """,
        (row, n) -> EventJson.read(row.getString("type"), row.getString("body")));
  }

  /** Asks the database whether it is there; throws what a write would. */
  void ping() {
    jdbc.queryForObject("select 1", Integer.class);
  }

  /** The place of the last event, 0 in an empty journal. */
  public long lastSeq() {
    Long last = jdbc.queryForObject("select coalesce(max(seq), 0) from journal", Long.class);
    return last == null ? 0 : last;
  }
}
