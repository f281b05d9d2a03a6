package oficina.server;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;

/**
 * A MariaDB of its own for a test run: a new data folder, a free port on loopback, gone afterwards.
 */
public final class TestDatabase implements AutoCloseable {
  private static final String CREATE = "create database oficina character set utf8mb4";

  /** It is copied with the rest; as large as usual, it would be most of what is copied. */
  private static final String SMALL_LOG = "--innodb-log-file-size=16M";

  private static final int ACCESS_DENIED = 1045;

  private final Path folder;
  private final int port;
  private Process server;

  public TestDatabase() {
    this(Template.get());
  }

  /** What a home of {@code ./oficina} has in it. */
  TestDatabase(Path home) {
    folder = home;
    try {
      port = freePort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    start();
  }

  private TestDatabase(Template template) {
    try {
      folder = Files.createTempDirectory("oficina-db");
      port = freePort();
      if (template == Template.NONE) {
        install();
      } else {
        run(List.of("cp", "-r", template.data().toString(), data().toString()));
      }
      Files.createFile(folder.resolve("password"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    start();
  }

  /** All tables and nothing in them: made once, since that takes longer than most tests. */
  private record Template(Path data) {
    private static final Template NONE = new Template(Path.of(""));
    private static Template made;

    static synchronized Template get() {
      if (made == null) {
        TestDatabase database = new TestDatabase(NONE);
        try (Connection root = database.connect("mysql")) {
          root.createStatement().execute(CREATE);
          root.createStatement().execute("create user oficina@'127.0.0.1'");
          root.createStatement().execute("grant all on oficina.* to oficina@'127.0.0.1'");
        } catch (SQLException e) {
          throw new IllegalStateException(e);
        }
        Flyway.configure().dataSource(database.url("oficina"), "oficina", "").load().migrate();
        database.stop();
        Runtime.getRuntime().addShutdownHook(new Thread(database::close));
        made = new Template(database.data());
      }
      return made;
    }
  }

  private void install() throws IOException {
    run(
        List.of(
            "mariadb-install-db",
            "--no-defaults",
            "--user=" + System.getProperty("user.name"),
            "--auth-root-authentication-method=normal",
            "--skip-test-db",
            SMALL_LOG,
            "--datadir=" + data()));
  }

  private Path data() {
    return folder.resolve("data");
  }

  private Connection connect(String to) throws SQLException {
    return DriverManager.getConnection(url(to), "root", "");
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  private void run(List<String> command) throws IOException {
    File log = folder.resolve("install.txt").toFile();
    Process process =
        new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(log).start();
    try {
      if (process.waitFor() != 0) {
        throw new IOException(Files.readString(log.toPath()));
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  /** Starts it, again if it was stopped. */
  public void start() {
    try {
      server =
          new ProcessBuilder(
                  "mariadbd",
                  "--no-defaults",
                  "--user=" + System.getProperty("user.name"),
                  "--datadir=" + data(),
                  SMALL_LOG,
                  "--bind-address=127.0.0.1",
                  "--port=" + port,
                  "--socket=" + folder.resolve("socket"),
                  "--skip-name-resolve")
              .redirectErrorStream(true)
              .redirectOutput(folder.resolve("server.txt").toFile())
              .start();
      awaitAnswer();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void awaitAnswer() throws IOException {
    long patience = System.nanoTime() + TimeUnit.SECONDS.toNanos(120);
    while (true) {
      try (Connection root = connect("mysql")) {
        return;
      } catch (SQLException e) {
        if (e.getErrorCode() == ACCESS_DENIED) {
          return; // of a home, where nobody is root
        }
        if (!server.isAlive() || System.nanoTime() > patience) {
          throw new IOException(Files.readString(folder.resolve("server.txt")), e);
        }
      }
    }
  }

  /** Has what a file has of another one, in the place of its tables. */
  public void load(InputStream sql) {
    try (Connection root = connect("mysql")) {
      root.createStatement().execute("drop database oficina");
      root.createStatement().execute(CREATE);
      root.createStatement().execute("use oficina");
      root.createStatement().execute("set foreign_key_checks = 0");
      String all = new String(sql.readAllBytes(), StandardCharsets.UTF_8);
      for (String statement : all.replaceAll("(?m)^--.*$", "").split(";\n")) {
        if (!statement.isBlank()) {
          root.createStatement().execute(statement);
        }
      }
    } catch (IOException | SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  /** One of the office's settings. */
  public void set(String setting, String value) {
    try (Connection root = connect("oficina");
        PreparedStatement write = root.prepareStatement("replace into setting values (?, ?)")) {
      write.setString(1, setting);
      write.setString(2, value);
      write.execute();
    } catch (SQLException e) {
      throw new IllegalStateException(e);
    }
  }

  private String url(String database) {
    return "jdbc:mariadb://127.0.0.1:" + port + "/" + database;
  }

  /** Of the server's user; none is asked for unless it is somebody's home. */
  String password() {
    try {
      return Files.readString(folder.resolve("password")).strip();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  public int port() {
    return port;
  }

  /** A file beside its data, gone with it. */
  public Path beside(String name) {
    return folder.resolve(name);
  }

  /** Has it answer nobody, as when its disk hangs, until {@link #thaw}. */
  public void freeze() {
    signal("STOP");
  }

  public void thaw() {
    signal("CONT");
  }

  /** Ends it as a power cut would. */
  public void kill() {
    signal("KILL");
    try {
      server.waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void signal(String signal) {
    try {
      new ProcessBuilder("kill", "-" + signal, Long.toString(server.pid())).start().waitFor();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Stops it; its data stays. */
  public void stop() {
    server.destroy();
    try {
      if (!server.waitFor(60, TimeUnit.SECONDS)) {
        server.destroyForcibly().waitFor();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @Override
  public void close() {
    stop();
    try (Stream<Path> files = Files.walk(folder)) {
      files.sorted(Comparator.reverseOrder()).map(Path::toFile).forEach(File::delete);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
