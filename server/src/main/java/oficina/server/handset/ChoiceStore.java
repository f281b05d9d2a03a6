package oficina.server.handset;

import java.util.HashMap;
import java.util.Map;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Chosen devices in the database. */
@Repository
class ChoiceStore {
  private final JdbcClient jdbc;

  ChoiceStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  Map<PersonId, Choice> all() {
    Map<PersonId, Choice> all = new HashMap<>();
    jdbc.sql("select person_id, places, window_after, phone_after from device_choice")
        .query(
            row -> {
              all.put(
                  new PersonId(row.getLong("person_id")),
                  new Choice(
                      Choice.Places.valueOf(row.getString("places")),
                      row.getObject("window_after", Integer.class),
                      row.getObject("phone_after", Integer.class)));
            });
    return all;
  }

  void keep(PersonId person, Choice choice) {
    jdbc.sql(
            """
            replace into device_choice (person_id, places, window_after, phone_after)
            values (?, ?, ?, ?)
            """)
        .params(person.value(), choice.places().name(), choice.windowAfter(), choice.phoneAfter())
        .update();
  }
}
