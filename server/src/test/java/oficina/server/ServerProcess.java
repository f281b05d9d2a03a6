package oficina.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/**
 * The application as a process of its own with a database of its own, for being killed. It runs by
 * the system's clock.
 */
public final class ServerProcess implements AutoCloseable {
  private static final Duration PATIENCE = Duration.ofSeconds(240);

  private final TestDatabase database;
  private final int port;
  private final Path log;
  private Process process;

  private final List<String> settings;

  /**
   * @param settings instead of beginning with the demo office, each as on the command line
   */
  public ServerProcess(String... settings) {
    this(new TestDatabase(), settings);
  }

  /** On a database there is already, which it closes. */
  ServerProcess(TestDatabase database, String... settings) {
    this.database = database;
    this.settings = List.of(settings);
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
      log = Files.createTempFile("oficina-server", ".log");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Starts it and returns at once. */
  public void launch() {
    try {
      List<String> command = new ArrayList<>();
      command.addAll(
          List.of(
              Path.of(System.getProperty("java.home"), "bin", "java").toString(),
              "-XX:TieredStopAtLevel=1",
              "-XX:+UseSerialGC",
              "-Xshare:auto"));
      command.addAll(program());
      command.addAll(
          List.of(
              "--server.port=" + port,
              "--oficina.database=jdbc:mariadb://127.0.0.1:"
                  + database.port()
                  + "/oficina?timezone=UTC",
              "--oficina.waiting-file=" + database.beside("waiting.events"),
              "--oficina.recordings=" + database.beside("recordings"),
              "--oficina.secrets-key-file=" + database.beside("secrets.key"),
              "--spring.datasource.password=" + database.password(),
              "--oficina.callers=false",
              "--springdoc.api-docs.enabled=false"));
      command.addAll(
          settings.isEmpty()
              ? List.of(
                  "--oficina.demo=true",
                  "--oficina.demo-past=false",
                  // Tests ask without a pause.
                  "--oficina.limits.requests-per-second=5000")
              : settings);
      process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.appendTo(log.toFile()))
              .start();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The program as it is installed, if there is one to be tried, or what is being tested. */
  private static List<String> program() {
    String installed = System.getProperty("oficina.app");
    return installed == null
        ? List.of("-cp", System.getProperty("java.class.path"), OficinaApplication.class.getName())
        : List.of(
            "-XX:SharedArchiveFile=" + Path.of(installed).resolveSibling("classes.jsa"),
            "-jar",
            installed);
  }

  /** Starts it and waits until it takes requests. */
  public void start() {
    launch();
    awaitReady();
  }

  public void awaitReady() {
    long patience = System.nanoTime() + PATIENCE.toNanos();
    while (!answers()) {
      if (!process.isAlive() || System.nanoTime() > patience) {
        throw new AssertionError(log());
      }
      try {
        Thread.sleep(20);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new AssertionError(e);
      }
    }
  }

  public boolean answers() {
    try (Socket socket = new Socket("127.0.0.1", port)) {
      return true;
    } catch (IOException e) {
      return false;
    }
  }

  /** Ends it as a power cut would (SIGKILL). */
  public void kill() {
    try {
      process.destroyForcibly().waitFor(10, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  public long pid() {
    return process.pid();
  }

  public String address() {
    return "http://127.0.0.1:" + port;
  }

  public TestDatabase database() {
    return database;
  }

  /** Everything it has said. */
  public String log() {
    try {
      return String.join("\n", List.copyOf(Files.readAllLines(log)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void close() {
    if (process != null) {
      kill();
    }
    database.close();
  }
}
