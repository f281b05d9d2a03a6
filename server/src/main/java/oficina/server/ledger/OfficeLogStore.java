package oficina.server.ledger;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import oficina.core.ledger.Entry;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.core.ledger.Seal;
import oficina.core.office.Settings.Kept;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
import oficina.server.ending.Ending;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** The log of the office in the database. */
@Repository
class OfficeLogStore implements Ending {
  private final JdbcClient jdbc;
  private final JdbcTemplate batches;

  OfficeLogStore(JdbcTemplate template) {
    jdbc = JdbcClient.create(template);
    batches = template;
  }

  /** That of an office whose server need not run. */
  static OfficeLogStore of(String url, String user, String password) {
    return new OfficeLogStore(new JdbcTemplate(new DriverManagerDataSource(url, user, password)));
  }

  private record Last(long number, String seal) {}

  /**
   * Adds lines behind the last one. Of two who write at once one waits for the other.
   *
   * @param entry makes an entry of a number and what was done
   */
  @Transactional
  public void append(BiFunction<Long, Deed, Entry> entry, List<Deed> deeds) {
    lock();
    Last last =
        jdbc.sql("select id, seal from office_log order by id desc limit 1 for update")
            .query((row, n) -> new Last(row.getLong("id"), row.getString("seal")))
            .single();
    if (last.number == 0) {
      last = new Last(cut().number(), cut().seal()); // all of it may be gone
    }
    List<Object[]> rows = new ArrayList<>(deeds.size());
    for (Deed deed : deeds) {
      Entry next = entry.apply(last.number + 1, deed);
      last = new Last(next.number(), Seal.of(last.seal, next));
      rows.add(row(next, last.seal));
    }
    batches.batchUpdate(
        """
        insert into office_log
          (id, at, person_id, name, origin, kind, about, what, was, becomes, seal)
        values (?, ?, nullif(?, 0), ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        rows);
  }

  /** Only one is here at a time: two who lock the end of a table could wait for each other. */
  private void lock() {
    jdbc.sql("select id from office_log where id = 0 for update").query(Long.class).single();
  }

  private static Object[] row(Entry entry, String seal) {
    Deed deed = entry.deed();
    return new Object[] {
      entry.number(),
      Times.utc(entry.at()),
      entry.who() == null ? 0L : entry.who().value(),
      entry.name(),
      entry.origin(),
      deed.kind().name(),
      deed.about(),
      deed.what(),
      deed.before(),
      deed.after(),
      seal
    };
  }

  /**
   * Which lines are wanted.
   *
   * @param kind null for any
   * @param text in a name or what was done; empty for any
   * @param who the name of whoever did it; empty for anybody
   * @param first null from the beginning
   * @param end the moment before which they were written; null for none
   * @param below only those with a smaller number
   */
  record Wanted(
      @Nullable Kind kind,
      String text,
      String who,
      @Nullable Instant first,
      @Nullable Instant end,
      long below) {}

  /** The last ones that are wanted, the latest first. */
  List<Entry> find(Wanted wanted, int most) {
    String like = "%" + wanted.text.replaceAll("([%_\\\\])", "\\\\$1") + "%";
    return jdbc.sql(
            """
            select * from office_log
            where id > 0 and id < :below
              and (:kind = '' or kind = :kind) and (:who = '' or name = :who)
              and (:first is null or at >= :first) and (:end is null or at < :end)
              and (:text = '' or concat_ws(' ', name, about, what, was, becomes) like :like)
            order by id desc limit :most
            """)
        .param("below", wanted.below)
        .param("kind", wanted.kind == null ? "" : wanted.kind.name())
        .param("who", wanted.who)
        .param("first", wanted.first == null ? null : Times.utc(wanted.first))
        .param("end", wanted.end == null ? null : Times.utc(wanted.end))
        .param("text", wanted.text)
        .param("like", like)
        .param("most", most)
        .query((row, n) -> entry(row))
        .list();
  }

  private static Entry entry(ResultSet row) throws SQLException {
    long person = row.getLong("person_id");
    return new Entry(
        row.getLong("id"),
        Times.instant(row.getObject("at", LocalDateTime.class)),
        person == 0 ? null : new PersonId(person),
        row.getString("name"),
        row.getString("origin"),
        new Deed(
            Kind.valueOf(row.getString("kind")),
            row.getString("about"),
            row.getString("what"),
            row.getString("was"),
            row.getString("becomes")));
  }

  @Override
  public Kept what() {
    return Kept.LOG;
  }

  @Override
  public long count(Instant before) {
    return Math.max(0, lastOlder(before) - cut().number());
  }

  /** The last of the lines that go leaves its seal, from which those that stay are verified. */
  @Override
  @Transactional
  public long end(Instant before) {
    lock();
    long last = lastOlder(before);
    long gone = last - cut().number();
    if (gone <= 0) {
      return 0;
    }
    String seal =
        jdbc.sql("select seal from office_log where id = ?")
            .param(last)
            .query(String.class)
            .single();
    jdbc.sql("delete from office_log where id between 1 and ?").param(last).update();
    jdbc.sql("insert into office_log_cut (id, seal) values (?, ?)").params(last, seal).update();
    return gone;
  }

  /** The last line before the first that is not older than this. */
  private long lastOlder(Instant before) {
    return jdbc.sql(
            """
            select coalesce(
              (select min(id) - 1 from office_log where id > 0 and at >= :before),
              (select max(id) from office_log))
            """)
        .param("before", Times.utc(before))
        .query(Long.class)
        .single();
  }

  /**
   * Where the log was last cut off because the office keeps it no longer.
   *
   * @param number of the last line that is gone; 0 when none is
   * @param seal of that line
   */
  record Cut(long number, String seal) {}

  Cut cut() {
    return jdbc.sql("select id, seal from office_log_cut order by id desc limit 1")
        .query((row, n) -> new Cut(row.getLong("id"), row.getString("seal")))
        .optional()
        .orElse(new Cut(0, Seal.BEGINNING));
  }

  /** Every line with its seal, in order. */
  void each(BiConsumer<Entry, String> taken) {
    try (var lines =
        jdbc
            .sql("select * from office_log where id > 0 order by id")
            .query((row, n) -> new Sealed(entry(row), row.getString("seal")))
            .stream()) {
      lines.forEach(each -> taken.accept(each.entry, each.seal));
    }
  }

  private record Sealed(Entry entry, String seal) {}
}
