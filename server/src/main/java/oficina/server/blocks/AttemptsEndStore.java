package oficina.server.blocks;

import java.time.Instant;
import oficina.core.office.Settings.Kept;
import oficina.server.ending.RowsEndStore;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** That somebody who is blocked has tried goes with the history. */
@Repository
class AttemptsEndStore extends RowsEndStore {
  AttemptsEndStore(JdbcClient jdbc) {
    super(jdbc, Kept.HISTORY, "block_attempt", "at");
  }

  @Override
  public long count(Instant before) {
    return 0; // they go with the history
  }
}
