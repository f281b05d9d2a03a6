package oficina.server.upkeep;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Which database this is. */
@Repository
class SchemaStore {
  private final JdbcClient jdbc;

  SchemaStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** Version of the database server. */
  String server() {
    return jdbc.sql("select version()").query(String.class).single();
  }

  /** Number of the last change to the tables. */
  String schema() {
    return jdbc.sql(
            "select version from flyway_schema_history where success order by installed_rank desc limit 1")
        .query(String.class)
        .single();
  }
}
