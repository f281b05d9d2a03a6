package oficina.server.queues;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.database.Times;
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

  /** What somebody who leads a line can do there. */
  enum What {
    /** Had a member take part. */
    TAKES_PART,
    /** Had a member rest. */
    RESTS,
    /** Spoke with a caller out of turn. */
    TOOK,
    /** Had a caller wait at another line. */
    MOVED
  }

  /**
   * Something that was done.
   *
   * @param whom to whom; null when it was done to a caller
   * @param call to which; null when it was done to a member
   * @param caller their number; null when it was withheld, or done to a member
   * @param to where a caller was moved to; null when none was
   * @param reason why somebody is to rest; empty when there is nothing to say
   */
  record Done(
      GroupId line,
      PersonId by,
      What what,
      @Nullable PersonId whom,
      @Nullable CallId call,
      @Nullable PhoneNumber caller,
      @Nullable GroupId to,
      String reason) {}

  void add(Done done, Instant at) {
    jdbc.sql(
            """
            insert into queue_log
              (group_id, at, by_person, what, person_id, call_id, caller, to_group, reason)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            done.line().value(),
            at,
            done.by().value(),
            done.what().name(),
            done.whom() == null ? null : done.whom().value(),
            done.call() == null ? null : done.call().value(),
            done.caller() == null ? null : done.caller().e164(),
            done.to() == null ? null : done.to().value(),
            done.reason())
        .update();
  }

  /** Something that was done, and when. */
  record Entry(Instant at, Done done) {}

  /** What was done last at a line, latest first. */
  List<Entry> last(GroupId line, int most) {
    return jdbc.sql("select * from queue_log where group_id = ? order by at desc, id desc limit ?")
        .params(line.value(), most)
        .query(
            (row, n) ->
                new Entry(Times.instant(row.getObject("at", LocalDateTime.class)), done(row)))
        .list();
  }

  private static Done done(ResultSet row) throws SQLException {
    long whom = row.getLong("person_id");
    long to = row.getLong("to_group");
    String call = row.getString("call_id");
    String caller = row.getString("caller");
    return new Done(
        new GroupId(row.getLong("group_id")),
        new PersonId(row.getLong("by_person")),
        What.valueOf(row.getString("what")),
        whom == 0 ? null : new PersonId(whom),
        call == null ? null : new CallId(call),
        caller == null ? null : new PhoneNumber(caller),
        to == 0 ? null : new GroupId(to),
        row.getString("reason"));
  }
}
