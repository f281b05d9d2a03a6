package oficina.server.journal;

import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.events.ExchangeEvent;
import oficina.core.figures.Fact;
import oficina.core.history.CallRecords;
import oficina.core.queueing.Lately;
import oficina.server.database.JournalDatabase;
import oficina.server.figures.FactStore;
import oficina.server.history.HistoryWritingStore;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Repository;

/** The journal: every event of the exchange, and what is derived from it, written in one go. */
@Repository
public class JournalStore {
  /**
   * The subjects that have not ended, as {@code wanted}, with ended ones that they came from or
   * that took a party out of them.
   */
  public static final String UNENDED =
      """
      with recursive wanted as (
        select subject from open_subject
        union
        select if(j.subject = w.subject, j.other_subject, j.subject)
        from wanted w join journal j
          on j.other_subject <> '' and (j.subject = w.subject or j.other_subject = w.subject))
      """;

  /** In the place of nothing: batches go in at once only when each row has values of one type. */
  private static final String NONE = "";

  /** Error codes of MariaDB for a disk or table that is full, or can only be read. */
  private static final Set<Integer> NO_ROOM = Set.of(1021, 1030, 1114, 1290, 1836);

  private final JournalDatabase database;
  private final JdbcTemplate jdbc;
  private final JdbcTemplate patient;
  private final HistoryWritingStore history;
  private final FactStore facts;

  /**
   * @param patient for what is read once, at the start, and may take its time
   */
  JournalStore(
      JournalDatabase database,
      JdbcTemplate patient,
      HistoryWritingStore history,
      FactStore facts) {
    this.database = database;
    this.jdbc = database.jdbc();
    this.patient = patient;
    this.history = history;
    this.facts = facts;
  }

  /**
   * Writes all of it or nothing.
   *
   * @throws org.springframework.dao.DataIntegrityViolationException when the database refuses one
   *     of the events, or has another one in its place
   */
  public void append(
      List<Batch.Entry> entries, List<CallRecords.Entries> derived, List<Fact> kept) {
    database.inTransaction(() -> write(entries, derived, kept));
  }

  private void write(
      List<Batch.Entry> entries, List<CallRecords.Entries> derived, List<Fact> kept) {
    List<Object[]> rows = new ArrayList<>(entries.size());
    // A window may go and come again within one write: what counts is the last.
    Map<String, Object[]> begun = new LinkedHashMap<>();
    Map<String, Object[]> ended = new LinkedHashMap<>();
    for (Batch.Entry entry : entries) {
      ExchangeEvent event = entry.event();
      StoredEvent stored = StoredEvent.of(event);
      rows.add(
          new Object[] {
            entry.seq(),
            stored.subject(),
            event.changesToo() == null ? NONE : event.changesToo(),
            event.at(),
            stored.kind(),
            stored.version(),
            stored.body(),
            entry.submission() == null ? NONE : entry.submission()
          });
      if (event.begins()) {
        begun.put(stored.subject(), new Object[] {stored.subject(), entry.seq()});
        ended.remove(stored.subject());
      } else if (event.ends()) {
        ended.put(stored.subject(), new Object[] {stored.subject()});
        begun.remove(stored.subject());
      }
    }
    batch(
        """
        insert into journal (seq, subject, other_subject, at, type, version, body, submission)
        values (?, ?, ?, ?, ?, ?, ?, ?)
        """,
        rows);
    // A device that comes as something else than before begins once more.
    open(List.copyOf(begun.values()));
    batch("delete from open_subject where subject = ?", List.copyOf(ended.values()));
    history.write(derived);
    facts.write(kept);
  }

  /** In one statement: in a batch the driver would send each of them by itself. */
  private void open(List<Object[]> begun) {
    if (!begun.isEmpty()) {
      jdbc.update(
          "insert into open_subject (subject, from_seq) values "
              + String.join(", ", Collections.nCopies(begun.size(), "(?, ?)"))
              + " on duplicate key update from_seq = values(from_seq)",
          begun.stream().flatMap(Arrays::stream).toArray());
    }
  }

  private void batch(String sql, List<Object[]> rows) {
    if (!rows.isEmpty()) {
      jdbc.batchUpdate(sql, rows);
    }
  }

  /**
   * The events of all calls, wishes and devices that have not ended, in order, together with those
   * of ended ones that they came from or that took a party out of them.
   */
  public List<ExchangeEvent> unended() {
    return EventReader.read(
        patient.query(
            UNENDED
                + """
            select j.subject, j.type, j.version, j.body
            from journal j join wanted w on w.subject = j.subject
              left join open_subject o on o.subject = j.subject
            where j.seq >= coalesce(o.from_seq, 0) order by j.seq
            """,
            (row, n) ->
                new StoredEvent(
                    row.getString("subject"),
                    row.getString("type"),
                    row.getInt("version"),
                    row.getString("body"))));
  }

  /** What the calls that are over by now have left behind since then. */
  public Lately lately(Instant since) {
    return facts.lately(since);
  }

  /**
   * By which submissions the last events were asked for.
   *
   * @param events how many of the last are looked at
   */
  public List<String> submissions(int events) {
    return patient.queryForList(
        "select submission from journal where seq > ? and submission <> '' order by seq",
        String.class,
        lastSeq() - events);
  }

  /** Whether the database would have taken it, had it had room. */
  static boolean hasNoRoom(Throwable e) {
    return NestedExceptionUtils.getMostSpecificCause(e) instanceof SQLException cause
        && NO_ROOM.contains(cause.getErrorCode());
  }

  /** Whether the journal has this event in its place. */
  boolean has(Batch.Entry entry) {
    StoredEvent stored = StoredEvent.of(entry.event());
    Integer found =
        jdbc.queryForObject(
            "select count(*) from journal where seq = ? and subject = ? and type = ? and body = ?",
            Integer.class,
            entry.seq(),
            stored.subject(),
            stored.kind(),
            stored.body());
    return found != null && found > 0;
  }

  /** Asks the database whether it is there; throws what a write would. */
  void ping() {
    jdbc.queryForObject("select 1", Integer.class);
  }

  /** The place of the last event, 0 in an empty journal. */
  public long lastSeq() {
    Long last = patient.queryForObject("select coalesce(max(seq), 0) from journal", Long.class);
    return last == null ? 0 : last;
  }
}
