package oficina.server.preferences;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Preferences in the database. */
@Repository
class PreferenceStore {
  private final JdbcClient jdbc;

  PreferenceStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** The park slots each person does not want to see. */
  Map<PersonId, List<String>> hiddenSlots() {
    Map<PersonId, List<String>> all = new HashMap<>();
    jdbc.sql("select id, hidden_slots from person where hidden_slots <> ''")
        .query(
            row -> {
              all.put(
                  new PersonId(row.getLong("id")),
                  Arrays.asList(row.getString("hidden_slots").split(" ")));
            });
    return all;
  }

  void write(PersonId person, Preference preference) {
    jdbc.sql(
            """
            update person set call_waiting = ?, caller_id = ?, recording = ?, hidden_slots = ?
            where id = ?
            """)
        .params(
            preference.callWaiting(),
            preference.callerId().name(),
            preference.recording().name(),
            String.join(" ", preference.hiddenSlots()),
            person.value())
        .update();
  }
}
