package oficina.server.followup;

import oficina.core.office.Settings.Kept;
import oficina.server.ending.RowsEndStore;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What is done goes with the notes; what is still to be done stays. */
@Repository
class FollowUpsEndStore extends RowsEndStore {
  FollowUpsEndStore(JdbcClient jdbc) {
    super(jdbc, Kept.NOTES, "follow_up", "done_at");
  }
}
