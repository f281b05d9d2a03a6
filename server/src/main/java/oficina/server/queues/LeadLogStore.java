package oficina.server.queues;

import java.time.Instant;
import oficina.core.call.CallId;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What those who lead lines have done there: written once, and never changed. */
@Repository
class LeadLogStore {
  private final JdbcClient jdbc;

  LeadLogStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Something that was done.
   *
   * @param whom to whom; null when it was done to a caller
   * @param call to which; null when it was done to a member
   * @param detail why, or where to; empty when there is nothing to say
   */
  record Done(
      GroupId line,
      PersonId by,
      String what,
      @Nullable PersonId whom,
      @Nullable CallId call,
      String detail) {}

  void add(Done done, Instant at) {
    jdbc.sql(
            """
            insert into queue_log (group_id, at, by_person, what, person_id, call_id, detail)
            values (?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            done.line().value(),
            at,
            done.by().value(),
            done.what(),
            done.whom() == null ? null : done.whom().value(),
            done.call() == null ? null : done.call().value(),
            done.detail())
        .update();
  }
}
