package oficina.server.ending;

import java.time.Instant;
import oficina.core.office.Settings.Kept;
import oficina.server.database.Times;
import org.springframework.jdbc.core.simple.JdbcClient;

/** How rows of one table end that stand for themselves, with nothing beside them that goes too. */
public abstract class RowsEndStore implements Ending {
  private static final int AT_ONCE = 500;

  private final JdbcClient jdbc;
  private final Kept what;
  private final String rows;

  /**
   * @param table of the rows
   * @param moment column with the time by which they are old; null in those that have no end
   */
  protected RowsEndStore(JdbcClient jdbc, Kept what, String table, String moment) {
    this.jdbc = jdbc;
    this.what = what;
    this.rows = " from " + table + " where " + moment + " < ?";
  }

  @Override
  public Kept what() {
    return what;
  }

  @Override
  public long count(Instant before) {
    return jdbc.sql("select count(*)" + rows).param(Times.utc(before)).query(Long.class).single();
  }

  @Override
  public long end(Instant before) {
    return Ending.inPortions(
        AT_ONCE,
        () -> jdbc.sql("delete" + rows + " limit " + AT_ONCE).param(Times.utc(before)).update());
  }
}
