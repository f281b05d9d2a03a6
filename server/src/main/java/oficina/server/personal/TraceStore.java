package oficina.server.personal;

import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.sql.Types;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.JacksonException;

/** Counts, reads and erases what stands somewhere of a person. */
@Repository
class TraceStore {
  private final JdbcClient jdbc;

  TraceStore(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** How many of each there are, without those of which there are none. */
  Map<String, Long> count(List<Trace> traces, Map<String, ?> about) {
    Map<String, Long> counts = new LinkedHashMap<>();
    for (Trace each : traces) {
      add(counts, each, jdbc.sql(each.counted()).params(about).query(Long.class).single());
    }
    return counts;
  }

  private static void add(Map<String, Long> counts, Trace each, long count) {
    if (count > 0) {
      counts.merge(each.name(), count, Long::sum);
    }
  }

  /** Gives every row of one of them, each column by its name; sound and pictures are left out. */
  void read(Trace trace, Map<String, ?> about, Consumer<Map<String, Object>> row) {
    try (var rows = jdbc.sql(trace.read()).params(about).query((each, n) -> row(each)).stream()) {
      rows.forEach(row);
    }
  }

  private static Map<String, Object> row(ResultSet row) throws SQLException {
    ResultSetMetaData columns = row.getMetaData();
    Map<String, Object> values = new LinkedHashMap<>();
    for (int i = 1; i <= columns.getColumnCount(); i++) {
      Object value = value(row, columns.getColumnType(i), i);
      if (value != null) {
        values.put(columns.getColumnLabel(i), value);
      }
    }
    return values;
  }

  private static @Nullable Object value(ResultSet row, int type, int at) throws SQLException {
    return switch (type) {
      case Types.VARBINARY, Types.LONGVARBINARY, Types.BLOB, Types.BINARY -> null;
      case Types.TIMESTAMP -> {
        String text = row.getString(at);
        yield text == null ? null : text.replace(' ', 'T') + "Z";
      }
      case Types.VARCHAR, Types.LONGVARCHAR, Types.CHAR, Types.CLOB -> read(row.getString(at));
      default -> row.getObject(at);
    };
  }

  /** What is kept as JSON is JSON in the file too. */
  private static @Nullable Object read(@Nullable String text) {
    if (text == null || !(text.startsWith("{") || text.startsWith("["))) {
      return text;
    }
    try {
      return CoreJson.JSON.readTree(text);
    } catch (JacksonException e) {
      return text;
    }
  }

  /** Erases all of them, one after the other, and says how many of each there were. */
  Map<String, Long> erase(List<Trace> traces, Map<String, ?> about) {
    Map<String, Long> counts = new LinkedHashMap<>();
    for (Trace each : traces) {
      add(counts, each, jdbc.sql(each.erased()).params(about).update());
    }
    return counts;
  }

  /** Identities in a column of these rows. */
  <T> List<T> column(String sql, Map<String, ?> about, Class<T> type) {
    return jdbc.sql(sql).params(about).query(type).list();
  }
}
