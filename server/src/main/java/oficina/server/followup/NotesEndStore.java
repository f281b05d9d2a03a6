package oficina.server.followup;

import oficina.core.office.Settings.Kept;
import oficina.server.ending.RowsEndStore;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What people have written about their calls goes when the office says so. */
@Repository
class NotesEndStore extends RowsEndStore {
  NotesEndStore(JdbcClient jdbc) {
    super(jdbc, Kept.NOTES, "call_note", "written_at");
  }
}
