package oficina.server.followup;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Short lists that the office has made for everybody, in the order in which they are offered. */
@Repository
class OfficeListStore {
  private final JdbcClient jdbc;

  OfficeListStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** What is listed. */
  enum Listed {
    /** What can come of a call. */
    OUTCOMES(
        "outcomes",
        List.of(
            "Question answered",
            "Booking made",
            "Passed on",
            "Call back promised",
            "Complaint",
            "Wrong number")),
    /** What people write again and again. */
    PHRASES("stock-phrases", List.of());

    private final String setting;
    private final List<String> usual;

    Listed(String setting, List<String> usual) {
      this.setting = setting;
      this.usual = usual;
    }
  }

  List<String> all(Listed which) {
    return jdbc.sql("select value from setting where name = ?")
        .param(which.setting)
        .query(String.class)
        .optional()
        .map(listed -> listed.lines().toList())
        .orElse(which.usual);
  }

  void keep(Listed which, List<String> lines) {
    jdbc.sql("replace into setting (name, value) values (?, ?)")
        .params(which.setting, String.join("\n", lines))
        .update();
  }
}
