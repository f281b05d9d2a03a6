package oficina.server.figures;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import oficina.core.figures.Count;
import oficina.core.figures.Wait;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Counts what lines have done; each question is answered from one index, by line and time. */
@Repository
class DayStore {
  private static final int LAST = 200;
  private static final int HALF_HOUR = 1_800;

  private final JdbcClient jdbc;

  DayStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Waits by half hour and by how they ended. */
  List<Count> waits(GroupId line, Instant from, Instant to, Duration target) {
    return jdbc.sql(
            """
            select timestampdiff(second, ?, entered) div ? as slot, outcome, count(*) as calls,
              sum(waited_ms <= ?) as in_time, sum(waited_ms) as waited, max(waited_ms) as longest
            from queue_wait where group_id = ? and entered >= ? and entered < ?
            group by slot, outcome order by slot
            """)
        .params(from, HALF_HOUR, target.toMillis(), line.value(), from, to)
        .query(
            (row, n) ->
                new Count(
                    row.getLong("slot"),
                    Wait.Outcome.valueOf(row.getString("outcome")),
                    row.getLong("calls"),
                    row.getLong("in_time"),
                    Duration.ofMillis(row.getLong("waited")),
                    Duration.ofMillis(row.getLong("longest"))))
        .list();
  }

  /** What one member has done for a line. */
  record Worked(PersonId person, long calls, Duration took) {}

  List<Worked> served(GroupId line, Instant from, Instant to) {
    return worked("queue_served", "answered", "talked_ms", line, from, to);
  }

  List<Worked> finished(GroupId line, Instant from, Instant to) {
    return worked("queue_finished", "began", "took_ms", line, from, to);
  }

  private List<Worked> worked(
      String table, String when, String took, GroupId line, Instant from, Instant to) {
    return jdbc.sql(
            """
            select person_id, count(*) as calls, sum(%s) as took from %s
            where group_id = ? and %s >= ? and %s < ? group by person_id
            """
                .formatted(took, table, when, when))
        .params(line.value(), from, to)
        .query(
            (row, n) ->
                new Worked(
                    new PersonId(row.getLong("person_id")),
                    row.getLong("calls"),
                    Duration.ofMillis(row.getLong("took"))))
        .list();
  }

  /**
   * Calls that came in one half hour.
   *
   * @param began when the half hour began, by the clock of the world
   */
  record Arrived(Instant began, long calls) {}

  List<Arrived> arrivals(GroupId line, Instant from, Instant to) {
    return jdbc.sql(
            """
            select timestampdiff(second, ?, entered) div ? as slot, count(*) as calls
            from queue_wait where group_id = ? and entered >= ? and entered < ? group by slot
            """)
        .params(from, HALF_HOUR, line.value(), from, to)
        .query(
            (row, n) ->
                new Arrived(
                    from.plusSeconds(row.getLong("slot") * HALF_HOUR), row.getLong("calls")))
        .list();
  }

  /** The mean time of the last calls of a line; null when it has served nobody. */
  @Nullable Duration meanTalk(GroupId line) {
    Double mean =
        jdbc.sql(
                """
                select avg(talked_ms) from (select talked_ms from queue_served
                where group_id = ? order by answered desc limit ?) last
                """)
            .params(line.value(), LAST)
            .query(Double.class)
            .optional()
            .orElse(null);
    return mean == null ? null : Duration.ofMillis(Math.round(mean));
  }
}
