package oficina.server.followup;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What the office says can come of a call, in the order in which it is offered. */
@Repository
class OutcomeStore {
  private static final List<String> USUAL =
      List.of(
          "Question answered",
          "Booking made",
          "Passed on",
          "Call back promised",
          "Complaint",
          "Wrong number");

  private final JdbcClient jdbc;

  OutcomeStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  List<String> all() {
    return jdbc.sql("select value from setting where name = 'outcomes'")
        .query(String.class)
        .optional()
        .map(listed -> List.of(listed.split("\n")))
        .orElse(USUAL);
  }

  void keep(List<String> outcomes) {
    jdbc.sql("replace into setting (name, value) values ('outcomes', ?)")
        .param(String.join("\n", outcomes))
        .update();
  }
}
