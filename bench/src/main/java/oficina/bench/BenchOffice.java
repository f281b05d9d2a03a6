package oficina.bench;

import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import oficina.server.ServerProcess;
import oficina.server.TestDatabase;

/** More people than the demo office has, in the database of a measurement. */
final class BenchOffice {
  /** Extensions of the added people begin here. */
  static final int FIRST_EXTENSION = 3000;

  private BenchOffice() {}

  static Connection open(TestDatabase database) throws SQLException {
    return DriverManager.getConnection(
        "jdbc:mariadb://127.0.0.1:"
            + database.port()
            + "/oficina?useBulkStmts=true&rewriteBatchedStatements=true",
        "oficina",
        "");
  }

  /**
   * Adds people who can be rung but do nothing by themselves; the server learns of them at start.
   */
  static void addPeople(TestDatabase database, int count) throws SQLException {
    try (Connection connection = open(database);
        PreparedStatement insert =
            connection.prepareStatement(
                """
                insert into person (id, name, sign_in_name, password_hash, role, extension, team_id,
                  site, ring_seconds, stand_in)
                select ?, ?, ?, password_hash, 'employee', ?, 1, 'Bench', 3600, 'AWAY'
                from person where sign_in_name = 'ines'
                """)) {
      for (int i = 0; i < count; i++) {
        String extension = Integer.toString(FIRST_EXTENSION + i);
        insert.setLong(1, 100_000L + i);
        insert.setString(2, "Bench " + i);
        insert.setString(3, "bench" + i);
        insert.setString(4, extension);
        insert.execute();
      }
    }
  }

  /** A server of its own, at which so many of these people can have pages from one machine. */
  static ServerProcess server(int people) throws SQLException, IOException {
    ServerProcess server =
        new ServerProcess(
            "--oficina.demo=true",
            "--oficina.demo-past=false",
            "--oficina.limits.sockets-per-person=50",
            "--oficina.limits.sockets-per-origin=2000");
    server.start();
    addPeople(server.database(), people);
    server.kill();
    server.start();
    return server;
  }
}
