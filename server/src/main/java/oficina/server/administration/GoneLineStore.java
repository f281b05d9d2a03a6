package oficina.server.administration;

import java.util.List;
import java.util.Map;
import oficina.core.call.Owner;
import oficina.core.people.GroupId;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What waits at a line for somebody, and goes to the line that takes its place. */
@Repository
class GoneLineStore {
  private final JdbcClient jdbc;

  GoneLineStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Messages in its mailbox, and callers nobody has called back. */
  record Waiting(int messages, int toReturn) {}

  Waiting at(GroupId line) {
    String key = Owner.key(line);
    return new Waiting(
        count("select count(*) from message where mailbox = ? and removed_at is null", key),
        count("select count(distinct caller) from to_return where list = ?", key));
  }

  private int count(String sql, String key) {
    return jdbc.sql(sql).param(key).query(Integer.class).single();
  }

  /**
   * The line is gone: its name stays, its extension and number become free.
   *
   * @param instead which line gets what waits there; null when nothing does
   */
  void goes(GroupId line, @Nullable GroupId instead) {
    if (instead != null) {
      moves(Owner.key(line), Owner.key(instead));
    }
    for (String what :
        List.of(
            "delete from group_member where group_id = :line",
            "delete from queue where group_id = :line",
            "delete from line_music where group_id = :line",
            "delete from call_rules where owner_key = :key",
            "delete from greeting where mailbox = :key",
            "delete from to_return where list = :key",
            "update ring_group set gone = true, number = null, extension = concat('-', id)"
                + " where id = :line")) {
      jdbc.sql(what).param("line", line.value()).param("key", Owner.key(line)).update();
    }
    speedDials(line, instead);
  }

  private void moves(String from, String to) {
    for (String what :
        List.of(
            "update message set mailbox = :to where mailbox = :from",
            "update message_word set mailbox = :to where mailbox = :from",
            "insert ignore into to_return (list, caller, call_id, began, rang_ms)"
                + " select :to, caller, call_id, began, rang_ms from to_return where list = :from")) {
      jdbc.sql(what).params(Map.of("from", from, "to", to)).update();
    }
  }

  private void speedDials(GroupId line, @Nullable GroupId instead) {
    if (instead == null) {
      jdbc.sql("delete from speed_dial where kind = 'GROUP' and of = ?")
          .param(line.toString())
          .update();
    } else {
      jdbc.sql("update speed_dial set of = ? where kind = 'GROUP' and of = ?")
          .params(instead.toString(), line.toString())
          .update();
    }
  }
}
