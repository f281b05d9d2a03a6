package oficina.server.office;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import oficina.core.blocking.Block;
import oficina.core.blocking.BlockList;
import oficina.core.call.Owner;
import oficina.core.call.Party;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Directions;
import oficina.core.office.Directions.CallerBook;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.core.queueing.Queue;
import oficina.core.rules.CallRules;
import oficina.core.rules.Opening;
import oficina.core.rules.Timetable;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What has been decided about where calls go, in the database. */
@Repository
public class DirectionsStore {
  private static final String HOURS = "opening-hours";
  private static final String SHOWS_CALLER = "forwarding-shows-caller";

  private final JdbcClient jdbc;
  private volatile CallerBook book = (number, viewer) -> Set.of();

  DirectionsStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Has somebody asked to which companies numbers belong. */
  public void know(CallerBook companies) {
    book = companies;
  }

  /**
   * @param set all settings by name
   */
  Directions all(Map<String, String> set, ZoneId zone) {
    String hours = set.get(HOURS);
    return new Directions(
        rules(),
        new BlockList(blocks()),
        new Opening(
            hours == null ? null : CoreJson.JSON.readValue(hours, Timetable.class),
            holidays(),
            zone),
        new LateBook(),
        queues(),
        Boolean.parseBoolean(set.get(SHOWS_CALLER)));
  }

  /** Asks whoever knows by then. */
  private final class LateBook implements CallerBook {
    @Override
    public Set<String> companies(PhoneNumber number, @Nullable PersonId viewer) {
      return book.companies(number, viewer);
    }

    @Override
    public Set<String> tags(PhoneNumber number) {
      return book.tags(number);
    }
  }

  private Map<GroupId, Queue> queues() {
    Map<GroupId, Queue> queues = new HashMap<>();
    jdbc.sql("select group_id, body from queue")
        .query(
            row -> {
              queues.put(
                  new GroupId(row.getLong("group_id")),
                  CoreJson.JSON.readValue(row.getString("body"), Queue.class));
            });
    return queues;
  }

  /** Has a line keep callers so; null for it to keep none. */
  public void keep(GroupId line, @Nullable Queue queue) {
    jdbc.sql("delete from queue where group_id = ?").param(line.value()).update();
    if (queue != null) {
      jdbc.sql("insert into queue (group_id, body) values (?, ?)")
          .params(line.value(), CoreJson.JSON.writeValueAsString(queue))
          .update();
    }
  }

  private Map<Party, CallRules> rules() {
    Map<Party, CallRules> rules = new HashMap<>();
    jdbc.sql("select owner_key, body from call_rules")
        .query(
            row -> {
              rules.put(
                  Owner.of(row.getString("owner_key")),
                  CoreJson.CALL_RULES.readValue(row.getString("body")));
            });
    return rules;
  }

  /** Puts what somebody, or a line, has decided in the place of what they had decided before. */
  public void keep(Party owner, CallRules rules) {
    jdbc.sql("replace into call_rules (owner_key, body) values (?, ?)")
        .params(Owner.key(owner), CoreJson.JSON.writeValueAsString(rules))
        .update();
  }

  /** A number that no rule ever had. */
  public long newRule() {
    return jdbc.sql("select next value for rule_number").query(Long.class).single();
  }

  private Map<LocalDate, String> holidays() {
    Map<LocalDate, String> holidays = new HashMap<>();
    jdbc.sql("select day, name from holiday")
        .query(
            row -> {
              holidays.put(row.getObject("day", LocalDate.class), row.getString("name"));
            });
    return holidays;
  }

  /** Puts these holidays in the place of those there were. */
  public void keepHolidays(Map<LocalDate, String> holidays) {
    jdbc.sql("delete from holiday").update();
    holidays.forEach(
        (day, name) ->
            jdbc.sql("insert into holiday (day, name) values (?, ?)").params(day, name).update());
  }

  /**
   * @param hours null when the office is never closed
   */
  public void keepHours(@Nullable Timetable hours, boolean showsCaller) {
    jdbc.sql("delete from setting where name = ?").param(HOURS).update();
    if (hours != null) {
      set(HOURS, CoreJson.JSON.writeValueAsString(hours));
    }
    set(SHOWS_CALLER, Boolean.toString(showsCaller));
  }

  private void set(String name, String value) {
    jdbc.sql("replace into setting (name, value) values (?, ?)").params(name, value).update();
  }

  private List<Block> blocks() {
    return jdbc.sql("select id, person_id, kind, number, answer, note from block")
        .query(
            (row, n) -> {
              long person = row.getLong("person_id");
              return new Block(
                  row.getLong("id"),
                  row.wasNull() ? null : new PersonId(person),
                  Block.Kind.valueOf(row.getString("kind")),
                  row.getString("number"),
                  Block.Answer.valueOf(row.getString("answer")),
                  row.getString("note"));
            })
        .list();
  }
}
