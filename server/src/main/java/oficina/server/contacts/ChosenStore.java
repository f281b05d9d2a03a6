package oficina.server.contacts;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import oficina.core.call.CallId;
import oficina.core.contacts.ContactId;
import oficina.core.people.PersonId;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Which of several contacts with one number it was in a call, as each person has said. Few calls
 * are concerned, so all of it is kept in memory as well.
 */
@Repository
public class ChosenStore {
  private final JdbcClient jdbc;
  private final Map<Asked, ContactId> chosen = new ConcurrentHashMap<>();

  private record Asked(String call, PersonId person) {}

  ChosenStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
    jdbc.sql("select call_id, person_id, contact_id from contact_chosen")
        .query(
            row -> {
              chosen.put(
                  new Asked(row.getString("call_id"), new PersonId(row.getLong("person_id"))),
                  new ContactId(row.getLong("contact_id")));
            });
  }

  /** Whom this person has chosen in this call; null for nobody. */
  public @Nullable ContactId of(CallId call, PersonId person) {
    return chosen.get(new Asked(call.value(), person));
  }

  public void choose(CallId call, PersonId person, ContactId contact) {
    jdbc.sql("replace into contact_chosen (call_id, person_id, contact_id) values (?, ?, ?)")
        .params(call.value(), person.value(), contact.value())
        .update();
    chosen.put(new Asked(call.value(), person), contact);
  }
}
