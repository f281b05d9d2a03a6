package oficina.server.handset;

import java.util.HashMap;
import java.util.Map;
import oficina.core.numbers.PhoneNumber;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Chosen devices in the database. */
@Repository
class ChoiceStore {
  private final JdbcClient jdbc;

  ChoiceStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** All without the telephones outside. */
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
                      row.getObject("phone_after", Integer.class),
                      /* outside= */ null));
            });
    return all;
  }

  @Transactional
  public void keep(PersonId person, Choice choice, @Nullable PhoneNumber outside) {
    jdbc.sql("update person set outside_phone = ? where id = ?")
        .params(outside == null ? null : outside.e164(), person.value())
        .update();
    jdbc.sql(
            """
            replace into device_choice (person_id, places, window_after, phone_after)
            values (?, ?, ?, ?)
            """)
        .params(person.value(), choice.places().name(), choice.windowAfter(), choice.phoneAfter())
        .update();
  }
}
