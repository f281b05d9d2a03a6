package oficina.server.figures;

import java.time.Instant;
import oficina.core.office.Settings.Kept;
import oficina.server.database.Times;
import oficina.server.ending.Ending;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What became of waits stays to be counted; who waited goes with the history. */
@Repository
class CallersEndStore implements Ending {
  private static final int AT_ONCE = 5_000;

  private final JdbcClient jdbc;

  CallersEndStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  @Override
  public Kept what() {
    return Kept.HISTORY;
  }

  @Override
  public long count(Instant before) {
    return 0;
  }

  @Override
  public long end(Instant before) {
    nameless(
        "update queue_wait set number = null where entered < ? and number is not null", before);
    nameless("update queue_log set caller = null where at < ? and caller is not null", before);
    return 0;
  }

  private void nameless(String update, Instant before) {
    Ending.inPortions(
        AT_ONCE, () -> jdbc.sql(update + " limit " + AT_ONCE).param(Times.utc(before)).update());
  }
}
