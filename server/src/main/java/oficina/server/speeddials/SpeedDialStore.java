package oficina.server.speeddials;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** People's speed dials in the database, each person's own. */
@Repository
class SpeedDialStore {
  /** Of those that were added since they were put in order; their identities order them. */
  private static final int BEHIND_ALL = 1_000_000;

  private final JdbcClient jdbc;

  SpeedDialStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** In the order in which they stand. */
  List<SpeedDial> of(PersonId person) {
    return jdbc.sql(
            """
            select id, page, label, kind, of, number, picture is not null as pictured from speed_dial
            where person_id = ? order by page, position, id
            """)
        .param(person.value())
        .query(
            (row, n) ->
                new SpeedDial(
                    row.getLong("id"),
                    row.getInt("page"),
                    row.getString("label"),
                    SpeedDial.Kind.valueOf(row.getString("kind")),
                    row.getString("of"),
                    row.getString("number"),
                    row.getBoolean("pictured")))
        .list();
  }

  /**
   * Adds a key behind all others of its page.
   *
   * @param most as many as a person may have
   * @return its identity; empty when there are so many already
   */
  @Transactional
  OptionalLong add(PersonId person, SpeedDial dial, int most) {
    if (of(person).size() >= most) {
      return OptionalLong.empty();
    }
    return OptionalLong.of(insert(person, dial, BEHIND_ALL));
  }

  private long insert(PersonId person, SpeedDial dial, int position) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    jdbc.sql(
            """
            insert into speed_dial (person_id, page, position, label, kind, of, number)
            values (?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            person.value(),
            dial.page(),
            position,
            dial.label(),
            dial.kind().name(),
            dial.of(),
            dial.number())
        .update(key);
    return key.getKey().longValue();
  }

  void remove(PersonId person, long id) {
    jdbc.sql("delete from speed_dial where person_id = ? and id = ?")
        .params(person.value(), id)
        .update();
  }

  /** Puts all of a person's keys in the place of those there were, in this order. */
  @Transactional
  void keep(PersonId person, List<SpeedDial> dials) {
    Set<Long> kept = new HashSet<>();
    for (int i = 0; i < dials.size(); i++) {
      SpeedDial dial = dials.get(i);
      kept.add(change(person, dial, i) ? dial.id() : insert(person, dial, i));
    }
    of(person).stream()
        .map(SpeedDial::id)
        .filter(id -> !kept.contains(id))
        .forEach(id -> remove(person, id));
  }

  /** Changes a key that this person has, and says whether they have it. */
  private boolean change(PersonId person, SpeedDial dial, int position) {
    return jdbc.sql(
                """
                update speed_dial set page = ?, position = ?, label = ?, kind = ?, of = ?, number = ?
                where person_id = ? and id = ?
                """)
            .params(
                dial.page(),
                position,
                dial.label(),
                dial.kind().name(),
                dial.of(),
                dial.number(),
                person.value(),
                dial.id())
            .update()
        > 0;
  }

  /** The picture of a person's key, as JPEG; empty when it has none of its own. */
  Optional<byte[]> picture(PersonId person, long id) {
    return jdbc.sql(
            "select picture from speed_dial where person_id = ? and id = ? and picture is not null")
        .params(person.value(), id)
        .query(byte[].class)
        .optional();
  }

  /**
   * @param jpeg null to take it away
   * @return whether the person has such a key
   */
  boolean picture(PersonId person, long id, byte @Nullable [] jpeg) {
    return jdbc.sql("update speed_dial set picture = ? where person_id = ? and id = ?")
            .params(jpeg, person.value(), id)
            .update()
        > 0;
  }
}
