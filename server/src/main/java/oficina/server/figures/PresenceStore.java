package oficina.server.figures;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * At which minutes members were there for lines. A minute that is written twice counts once, so
 * that what may not have been written is simply written again.
 */
@Repository
public class PresenceStore {
  private static final Duration HALF_HOUR = Duration.ofMinutes(30);

  private final JdbcTemplate batches;
  private final JdbcClient jdbc;

  PresenceStore(JdbcTemplate batches, JdbcClient jdbc) {
    this.batches = batches;
    this.jdbc = jdbc;
  }

  /** A member at a line in a half hour that begins then. */
  public record Slot(GroupId line, PersonId person, Instant halfHour) {
    /** Of this moment. */
    public static Slot at(GroupId line, PersonId person, Instant when) {
      long seconds = when.getEpochSecond();
      return new Slot(
          line, person, Instant.ofEpochSecond(seconds - seconds % HALF_HOUR.toSeconds()));
    }

    /** The bit for the minute of this moment. */
    public static int minute(Instant when) {
      return 1 << when.getEpochSecond() / 60 % HALF_HOUR.toMinutes();
    }

    /** The bits for all minutes. */
    public static int whole() {
      return (1 << HALF_HOUR.toMinutes()) - 1;
    }
  }

  /** Adds these minutes. */
  public void add(Map<Slot, Integer> minutes) {
    List<Object[]> rows =
        minutes.entrySet().stream()
            .map(
                each ->
                    new Object[] {
                      each.getKey().line().value(),
                      each.getKey().halfHour(),
                      each.getKey().person().value(),
                      each.getValue()
                    })
            .toList();
    if (!rows.isEmpty()) {
      batches.batchUpdate(
          """
          insert into queue_present (group_id, half_hour, person_id, minutes) values (?, ?, ?, ?)
          on duplicate key update minutes = minutes | values(minutes)
          """,
          rows);
    }
  }

  /** How long each member was there. */
  Map<PersonId, Duration> of(GroupId line, Instant from, Instant to) {
    Map<PersonId, Duration> all = new HashMap<>();
    jdbc.sql(
            """
            select person_id, sum(bit_count(minutes)) as minutes from queue_present
            where group_id = ? and half_hour >= ? and half_hour < ? group by person_id
            """)
        .params(line.value(), from, to)
        .query(
            (row, n) ->
                all.put(
                    new PersonId(row.getLong("person_id")),
                    Duration.ofMinutes(row.getLong("minutes"))))
        .list();
    return all;
  }
}
