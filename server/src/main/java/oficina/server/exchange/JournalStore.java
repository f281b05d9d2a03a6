package oficina.server.exchange;

import java.util.ArrayList;
import java.util.List;
import oficina.core.exchange.ExchangeEvent;
import oficina.core.exchange.ExchangeEvent.CallCleared;
import oficina.core.exchange.ExchangeEvent.Originated;
import oficina.core.history.Part;
import oficina.server.history.HistoryStore;
import oficina.server.json.EventJson;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The journal: every event of the exchange, and what is derived from it, written in one go. */
@Repository
public class JournalStore {
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
            entry.seq(), call, event.at(), EventJson.type(event), EventJson.write(event)
          });
      if (event instanceof Originated) {
        begun.add(new Object[] {call});
      } else if (event instanceof CallCleared) {
        ended.add(new Object[] {call});
      }
    }
    batch("insert ignore into journal (seq, call_id, at, type, body) values (?, ?, ?, ?, ?)", rows);
    batch("insert ignore into open_call (call_id) values (?)", begun);
    batch("delete from open_call where call_id = ?", ended);
    history.write(parts);
  }

  private void batch(String sql, List<Object[]> rows) {
    if (!rows.isEmpty()) {
      jdbc.batchUpdate(sql, rows);
    }
  }

  /** The events of all calls that have not ended, in order. */
  public List<ExchangeEvent> unended() {
    return jdbc.query(
        "select j.type, j.body from journal j join open_call o on o.call_id = j.call_id order by j.seq",
        (row, n) -> EventJson.read(row.getString("type"), row.getString("body")));
  }

  /** The place of the last event, 0 in an empty journal. */
  public long lastSeq() {
    Long last = jdbc.queryForObject("select coalesce(max(seq), 0) from journal", Long.class);
    return last == null ? 0 : last;
  }
}
