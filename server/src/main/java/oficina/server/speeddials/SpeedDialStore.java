package oficina.server.speeddials;

import java.util.List;
import java.util.OptionalLong;
import oficina.core.people.PersonId;
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
            select id, page, label, kind, of, number from speed_dial
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
                    row.getString("number")))
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
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    jdbc.sql(
            """
            insert into speed_dial (person_id, page, position, label, kind, of, number)
            values (?, ?, ?, ?, ?, ?, ?)
            """)
        .params(
            person.value(),
            dial.page(),
            BEHIND_ALL,
            dial.label(),
            dial.kind().name(),
            dial.of(),
            dial.number())
        .update(key);
    return OptionalLong.of(key.getKey().longValue());
  }

  void remove(PersonId person, long id) {
    jdbc.sql("delete from speed_dial where person_id = ? and id = ?")
        .params(person.value(), id)
        .update();
  }

  /** Puts all of a person's keys in the place of those there were, in this order. */
  @Transactional
  void keep(PersonId person, List<SpeedDial> dials) {
    jdbc.sql("delete from speed_dial where person_id = ?").param(person.value()).update();
    for (int i = 0; i < dials.size(); i++) {
      SpeedDial dial = dials.get(i);
      jdbc.sql(
              """
              insert into speed_dial (person_id, page, position, label, kind, of, number)
              values (?, ?, ?, ?, ?, ?, ?)
              """)
          .params(
              person.value(),
              dial.page(),
              i,
              dial.label(),
              dial.kind().name(),
              dial.of(),
              dial.number())
          .update();
    }
  }
}
