package oficina.server.recordings;

import oficina.core.office.Settings.Kept;
import oficina.server.ending.RowsEndStore;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Who heard or did what with recordings goes with the log of the office. */
@Repository
class LogEndStore extends RowsEndStore {
  LogEndStore(JdbcClient jdbc) {
    super(jdbc, Kept.LOG, "recording_log", "at");
  }
}
