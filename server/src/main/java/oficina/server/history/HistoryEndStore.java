package oficina.server.history;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.office.Settings.Kept;
import oficina.server.database.Times;
import oficina.server.ending.Ending;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionTemplate;

/** Entries of the history go with their courses and all that they are found by. */
@Repository
class HistoryEndStore implements Ending {
  private static final int AT_ONCE = 500;

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;

  HistoryEndStore(JdbcClient jdbc, TransactionTemplate transaction) {
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  private record Old(long id, String call) {
    static Old of(ResultSet row, int n) throws SQLException {
      return new Old(row.getLong("id"), row.getString("call_id"));
    }
  }

  @Override
  public Kept what() {
    return Kept.HISTORY;
  }

  @Override
  public long count(Instant before) {
    return jdbc.sql("select count(*) from history where began < ?")
        .param(Times.utc(before))
        .query(Long.class)
        .single();
  }

  @Override
  public long end(Instant before) {
    long gone = 0;
    for (long person : people()) {
      gone += Ending.inPortions(AT_ONCE, () -> transaction.execute(status -> some(person, before)));
    }
    Ending.inPortions(AT_ONCE, () -> found(before));
    jdbc.sql("delete from to_return where began < ?").param(Times.utc(before)).update();
    jdbc.sql("delete from call_return where at < ?").param(Times.utc(before)).update();
    return gone;
  }

  /** Each by themselves: their entries are read in the order of time. */
  private List<Long> people() {
    return jdbc.sql("select id from person").query(Long.class).list();
  }

  private int some(long person, Instant before) {
    List<Old> some =
        jdbc.sql(
                "select id, call_id from history where person_id = ? and began < ? order by began limit ?")
            .params(person, Times.utc(before), AT_ONCE)
            .query(Old::of)
            .list();
    if (!some.isEmpty()) {
      List<String> calls = some.stream().map(Old::call).distinct().toList();
      in("delete from call_course where call_id in (:these)", calls);
      in("delete from contact_chosen where call_id in (:these)", calls);
      in("delete from history where id in (:these)", some.stream().map(Old::id).toList());
    }
    return some.size();
  }

  /**
   * What only entries were found by that are gone. None is locked but what goes: whoever writes
   * entries just then waits for nothing else. What an entry has come for meanwhile stays.
   */
  private int found(Instant before) {
    List<Long> some =
        jdbc.sql("select id from history_search where last < ? limit ?")
            .params(Times.utc(before), AT_ONCE)
            .query(Long.class)
            .list();
    return some.isEmpty()
        ? 0
        : transaction.execute(
            status -> {
              jdbc.sql("delete from history_search where id in (:these) and last < :before")
                  .param("these", some)
                  .param("before", Times.utc(before))
                  .update();
              List<Long> gone = new ArrayList<>(some);
              gone.removeAll(
                  jdbc.sql("select id from history_search where id in (:these)")
                      .param("these", some)
                      .query(Long.class)
                      .list());
              if (!gone.isEmpty()) {
                in("delete from history_search_word where search_id in (:these)", gone);
              }
              return gone.size();
            });
  }

  private void in(String sql, List<?> these) {
    jdbc.sql(sql).param("these", these).update();
  }
}
