package oficina.server.office;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import oficina.core.exchange.ParkSlot;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** People, teams and settings in the database. */
@Repository
public class OfficeStore {
  private static final Duration GROUP_RING_TIME = Duration.ofSeconds(30);

  private final JdbcClient jdbc;

  OfficeStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What the office is like now. */
  Directory directory() {
    List<Person> people =
        jdbc.sql(
                """
                select p.*, t.name as team from person p join team t on t.id = p.team_id
                order by t.position, p.extension
                """)
            .query(
                (row, n) ->
                    new Person(
                        new PersonId(row.getLong("id")),
                        row.getString("name"),
                        row.getString("extension"),
                        number(row.getString("direct_number")),
                        row.getString("team"),
                        row.getString("site"),
                        Duration.ofSeconds(row.getInt("ring_seconds")),
                        row.getBoolean("call_waiting")))
            .list();
    Map<String, List<PersonId>> members = new HashMap<>();
    people.forEach(
        person -> members.computeIfAbsent(person.team(), t -> new ArrayList<>()).add(person.id()));
    List<Group> groups =
        jdbc.sql("select * from team where extension is not null order by position")
            .query(
                (row, n) ->
                    new Group(
                        new GroupId(row.getLong("id")),
                        row.getString("name"),
                        row.getString("extension"),
                        number(row.getString("number")),
                        members.getOrDefault(row.getString("name"), List.of()),
                        GROUP_RING_TIME))
            .list();
    return new Directory(people, groups);
  }

  private static PhoneNumber number(String e164) {
    return e164 == null ? null : new PhoneNumber(e164);
  }

  Map<PersonId, StandIn> standIns() {
    Map<PersonId, StandIn> standIns = new HashMap<>();
    jdbc.sql("select id, stand_in from person")
        .query(
            row -> {
              standIns.put(
                  new PersonId(row.getLong("id")), StandIn.valueOf(row.getString("stand_in")));
            });
    return standIns;
  }

  /** Where calls can wait, in the order in which they are filled. */
  List<ParkSlot> parkSlots() {
    return jdbc.sql("select number, label from park_slot order by position")
        .query((row, n) -> new ParkSlot(row.getString("number"), row.getString("label")))
        .list();
  }

  void addParkSlot(int position, ParkSlot slot) {
    jdbc.sql("insert into park_slot (number, label, position) values (?, ?, ?)")
        .params(slot.number(), slot.label(), position)
        .update();
  }

  /** All settings by name. */
  Map<String, String> settings() {
    Map<String, String> settings = new HashMap<>();
    jdbc.sql("select name, value from setting")
        .query(
            row -> {
              settings.put(row.getString("name"), row.getString("value"));
            });
    return settings;
  }

  public Optional<String> setting(String name) {
    return jdbc.sql("select value from setting where name = ?")
        .param(name)
        .query(String.class)
        .optional();
  }

  public void set(String name, String value) {
    jdbc.sql(
            "insert into setting (name, value) values (?, ?) on duplicate key update value = values(value)")
        .params(name, value)
        .update();
  }

  boolean isEmpty() {
    return jdbc.sql("select count(*) from person").query(Long.class).single() == 0;
  }

  void addTeam(long id, String name, int position, String extension, String number) {
    jdbc.sql("insert into team (id, name, position, extension, number) values (?, ?, ?, ?, ?)")
        .params(id, name, position, extension, number)
        .update();
  }

  /** A new employee as read from a list. */
  record NewPerson(
      long id,
      String name,
      String signInName,
      String passwordHash,
      String role,
      String extension,
      String directNumber,
      long team,
      String site,
      boolean callWaiting,
      StandIn standIn) {}

  void addPerson(NewPerson p) {
    jdbc.sql(
            """
            insert into person (id, name, sign_in_name, password_hash, role, extension,
              direct_number, team_id, site, call_waiting, stand_in)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            p.id(),
            p.name(),
            p.signInName(),
            p.passwordHash(),
            p.role(),
            p.extension(),
            p.directNumber(),
            p.team(),
            p.site(),
            p.callWaiting(),
            p.standIn().name())
        .update();
  }
}
