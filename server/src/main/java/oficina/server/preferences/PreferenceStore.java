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

  Map<PersonId, Preference> all() {
    Map<PersonId, Preference> all = new HashMap<>();
    jdbc.sql("select id, call_waiting, caller_id, hidden_slots from person")
        .query(
            row -> {
              String hidden = row.getString("hidden_slots");
              all.put(
                  new PersonId(row.getLong("id")),
                  new Preference(
                      row.getBoolean("call_waiting"),
                      CallerIdChoice.valueOf(row.getString("caller_id")),
                      hidden.isEmpty() ? List.of() : Arrays.asList(hidden.split(" "))));
            });
    return all;
  }

  void write(PersonId person, Preference preference) {
    jdbc.sql("update person set call_waiting = ?, caller_id = ?, hidden_slots = ? where id = ?")
        .params(
            preference.callWaiting(),
            preference.callerId().name(),
            String.join(" ", preference.hiddenSlots()),
            person.value())
        .update();
  }
}
