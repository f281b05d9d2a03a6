package oficina.server.personal;

import org.jspecify.annotations.Nullable;

/**
 * Where something of a person stands in the database.
 *
 * @param name what it is called in the file and in what is said of it
 * @param rows which rows, from {@code from} on, with named parameters
 * @param becomes what is set in these rows when they become nameless; null when they are deleted
 */
record Trace(String name, String rows, @Nullable String becomes) {
  /** Rows that are deleted. */
  static Trace gone(String name, String table, String which) {
    return new Trace(name, table + " where " + which, null);
  }

  /** Rows that stay without whom they are about. */
  static Trace nameless(String name, String table, String which, String becomes) {
    return new Trace(name, table + " where " + which, becomes);
  }

  String counted() {
    return "select count(*) from " + rows;
  }

  String read() {
    return "select * from " + rows;
  }

  String erased() {
    return becomes == null
        ? "delete from " + rows
        : "update " + rows.replaceFirst(" where ", " set " + becomes + " where ");
  }
}
