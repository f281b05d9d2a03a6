package oficina.server.office;

import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.LongFunction;
import oficina.core.numbers.PhoneNumber;
import oficina.core.office.Former;
import oficina.core.office.Office;
import oficina.core.office.ParkSlot;
import oficina.core.office.Settings;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.Directory;
import oficina.core.people.Group;
import oficina.core.people.GroupId;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.RecordingChoice;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** People, teams and settings in the database. */
@Repository
public class OfficeStore {
  private static final Duration GROUP_RING_TIME = Duration.ofSeconds(30);

  private final JdbcClient jdbc;
  private final DirectionsStore directions;

  OfficeStore(JdbcClient jdbc, DirectionsStore directions) {
    this.jdbc = jdbc;
    this.directions = directions;
  }

  /** The whole office as it is now. */
  Office office() {
    Map<String, String> set = settings();
    return new Office(
        StoredSettings.identity(set),
        new Directory(people(), groups()),
        StoredSettings.of(set, parkSlots()),
        former(),
        directions.all(set, ZoneId.of(set.getOrDefault("zone", "UTC"))));
  }

  private Former former() {
    return new Former(
        names("select id, name from person where has_left", PersonId::new),
        names("select id, name from ring_group where gone", GroupId::new));
  }

  private <I> Map<I, String> names(String sql, LongFunction<I> identity) {
    Map<I, String> names = new HashMap<>();
    jdbc.sql(sql)
        .query(
            row -> {
              names.put(identity.apply(row.getLong("id")), row.getString("name"));
            });
    return names;
  }

  private List<Person> people() {
    return jdbc.sql(
            """
            select p.*, t.name as team from person p join team t on t.id = p.team_id
            where not p.has_left order by t.position, p.extension
            """)
        .query(
            (row, n) ->
                new Person(
                    new PersonId(row.getLong("id")),
                    row.getString("name"),
                    row.getString("extension"),
                    number(row.getString("direct_number")),
                    new Person.Place(
                        row.getString("team"),
                        row.getString("site"),
                        row.getString("mail"),
                        number(row.getString("mobile"))),
                    new Person.Calls(
                        Duration.ofSeconds(row.getInt("ring_seconds")),
                        row.getBoolean("call_waiting"),
                        CallerIdChoice.valueOf(row.getString("caller_id")),
                        row.getBoolean("mailbox"),
                        RecordingChoice.valueOf(row.getString("recording")),
                        number(row.getString("outside_phone")))))
        .list();
  }

  private List<Group> groups() {
    Map<Long, List<PersonId>> members = new HashMap<>();
    jdbc.sql(
            """
            select m.group_id, m.person_id from group_member m
            join person p on p.id = m.person_id and not p.has_left order by m.position
            """)
        .query(
            row -> {
              members
                  .computeIfAbsent(row.getLong("group_id"), g -> new ArrayList<>())
                  .add(new PersonId(row.getLong("person_id")));
            });
    return jdbc.sql("select * from ring_group where not gone order by position")
        .query(
            (row, n) ->
                new Group(
                    new GroupId(row.getLong("id")),
                    row.getString("name"),
                    row.getString("extension"),
                    number(row.getString("number")),
                    members.getOrDefault(row.getLong("id"), List.of()),
                    Duration.ofSeconds(row.getInt("ring_seconds")),
                    row.getBoolean("mailbox")))
        .list();
  }

  /** Who rested by an earlier version, for which lines; after this nobody does. */
  public Map<PersonId, List<GroupId>> takeFormerRests() {
    Map<PersonId, List<GroupId>> rests = new HashMap<>();
    jdbc.sql("select group_id, person_id from group_member where resting")
        .query(
            row -> {
              rests
                  .computeIfAbsent(new PersonId(row.getLong("person_id")), p -> new ArrayList<>())
                  .add(new GroupId(row.getLong("group_id")));
            });
    jdbc.sql("update group_member set resting = false where resting").update();
    return rests;
  }

  private static @Nullable PhoneNumber number(@Nullable String e164) {
    return e164 == null ? null : new PhoneNumber(e164);
  }

  /** With which names people sign in, and as what. */
  public Map<PersonId, StoredAccount> accounts() {
    return accounts(jdbc.sql("select id, sign_in_name, role from person where not has_left"));
  }

  /** Those of these people. */
  public Map<PersonId, StoredAccount> accounts(Collection<Person> of) {
    return of.isEmpty()
        ? Map.of()
        : accounts(
            jdbc.sql("select id, sign_in_name, role from person where id in (:people)")
                .param("people", of.stream().map(each -> each.id().value()).toList()));
  }

  private static Map<PersonId, StoredAccount> accounts(JdbcClient.StatementSpec found) {
    Map<PersonId, StoredAccount> accounts = new HashMap<>();
    found.query(
        row -> {
          accounts.put(
              new PersonId(row.getLong("id")),
              new StoredAccount(row.getString("sign_in_name"), row.getString("role")));
        });
    return accounts;
  }

  Map<PersonId, StandIn> standIns() {
    Map<PersonId, StandIn> standIns = new HashMap<>();
    jdbc.sql("select id, stand_in from person where not has_left")
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

  /** The same, or nothing any more for null. */
  public void setOrForget(String name, @Nullable String value) {
    if (value == null) {
      jdbc.sql("delete from setting where name = ?").param(name).update();
    } else {
      set(name, value);
    }
  }

  /** What the office says of recordings. */
  public void set(Settings.Recording recording) {
    StoredSettings.stored(recording).forEach(this::set);
  }

  /** How calls are handled. */
  public void setHandling(Settings settings) {
    StoredSettings.stored(settings).forEach(this::set);
  }

  /** How long the office keeps things. */
  public void set(Settings.Keeping keeping) {
    StoredSettings.stored(keeping).forEach(this::setOrForget);
  }

  boolean isEmpty() {
    return jdbc.sql("select count(*) from person").query(Long.class).single() == 0;
  }

  /** The team of this name, made when there is none. */
  public long teamNamed(String name) {
    return jdbc.sql("select id from team where name = ?")
        .param(name)
        .query(Long.class)
        .optional()
        .orElseGet(
            () -> {
              jdbc.sql(
                      """
                      insert into team (id, name, position)
                      select coalesce(max(id), 0) + 1, ?, coalesce(max(position), 0) + 1 from team
                      """)
                  .param(name)
                  .update();
              return teamNamed(name);
            });
  }

  void addGroup(long id, String name, String extension, @Nullable String number) {
    jdbc.sql(
            "insert into ring_group (id, name, position, extension, number) values (?, ?, ?, ?, ?)")
        .params(id, name, id, extension, number)
        .update();
  }

  void addMember(long group, PersonId person, int position) {
    jdbc.sql("insert into group_member (group_id, person_id, position) values (?, ?, ?)")
        .params(group, person.value(), position)
        .update();
  }

  /** Adds an employee under an identity that nobody ever had. */
  public PersonId addPerson(NewPerson p) {
    long id = jdbc.sql("select coalesce(max(id), 0) + 1 from person").query(Long.class).single();
    jdbc.sql(
            """
            insert into person (id, name, sign_in_name, password_hash, role, extension,
              direct_number, team_id, site, mail, mobile, call_waiting, stand_in)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            id,
            p.name(),
            p.signInName(),
            p.passwordHash(),
            p.role(),
            p.extension(),
            p.directNumber(),
            p.team(),
            p.site(),
            p.mail(),
            p.mobile(),
            p.callWaiting(),
            p.standIn().name())
        .update();
    return new PersonId(id);
  }

  /** Changes what is known of somebody, but for their password. */
  public void change(PersonId person, NewPerson p) {
    jdbc.sql(
            """
            update person set name = ?, sign_in_name = ?, role = ?, extension = ?,
              direct_number = ?, team_id = ?, site = ?, mail = ?, mobile = ? where id = ?
            """)
        .params(
            p.name(),
            p.signInName(),
            p.role(),
            p.extension(),
            p.directNumber(),
            p.team(),
            p.site(),
            p.mail(),
            p.mobile(),
            person.value())
        .update();
  }

  /** Makes a line, under an identity that none ever had. */
  @Transactional
  public long addLine(NewLine line) {
    long id =
        jdbc.sql("select coalesce(max(id), 0) + 1 from ring_group").query(Long.class).single();
    addGroup(id, line.name(), line.extension(), line.number());
    change(new GroupId(id), line);
    return id;
  }

  /** Changes a line and who is in it. */
  @Transactional
  public void change(GroupId id, NewLine line) {
    jdbc.sql(
            """
            update ring_group set name = ?, extension = ?, number = ?, ring_seconds = ?,
              mailbox = ? where id = ?
            """)
        .params(
            line.name(),
            line.extension(),
            line.number(),
            line.ringSeconds(),
            line.mailbox(),
            id.value())
        .update();
    jdbc.sql("delete from group_member where group_id = ?").param(id.value()).update();
    int position = 0;
    for (PersonId member : line.members()) {
      addMember(id.value(), member, ++position);
    }
  }

  public void mustChangePassword(PersonId person) {
    jdbc.sql("update person set must_change_password = true where id = ?")
        .param(person.value())
        .update();
  }

  /** The person leaves: their name stays, their extension, number and sign-in become free. */
  public void leave(PersonId person) {
    jdbc.sql(
            """
            update person set has_left = true, direct_number = null, mobile = null, password_hash = '',
              extension = concat('-', id), sign_in_name = concat('-', id)
            where id = ?
            """)
        .param(person.value())
        .update();
    jdbc.sql("delete from group_member where person_id = ?").param(person.value()).update();
  }
}
