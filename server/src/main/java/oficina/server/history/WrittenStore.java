package oficina.server.history;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import oficina.core.people.PersonId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What people have written about calls, as far as their history tells. */
@Repository
class WrittenStore {
  private final JdbcClient jdbc;

  WrittenStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * What somebody wrote about a call.
   *
   * @param outcome empty for none
   */
  record About(String outcome, boolean noted) {
    static final About NOTHING = new About("", false);
  }

  /** What this person wrote about these, by call. */
  Map<String, About> about(PersonId person, List<HistoryStore.Stored> entries) {
    Map<String, About> about = new HashMap<>();
    if (entries.isEmpty()) {
      return about;
    }
    jdbc.sql(
            """
            select call_id, outcome, title <> '' or text <> '' as noted from call_note
            where person_id = :person and call_id in (:calls)
            """)
        .param("person", person.value())
        .param("calls", entries.stream().map(each -> each.part().call().value()).toList())
        .query(
            row -> {
              about.put(
                  row.getString("call_id"),
                  new About(row.getString("outcome"), row.getBoolean("noted")));
            });
    return about;
  }
}
