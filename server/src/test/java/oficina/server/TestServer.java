package oficina.server;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.server.time.MovableClock;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The real application on a free port with a database of its own, started once for all tests of a
 * module. Its clock moves when a test moves it.
 */
public final class TestServer implements BeforeAllCallback {
  private static TestServer running;

  private final TestDatabase database;
  private ConfigurableApplicationContext application;
  private int port;

  public TestServer() {
    this(null);
  }

  private TestServer(TestDatabase database) {
    this.database = database;
  }

  @Override
  public void beforeAll(ExtensionContext context) {
    get();
  }

  /** The server of this run, started when first asked for. */
  public static synchronized TestServer get() {
    if (running == null) {
      TestServer server = new TestServer(new TestDatabase());
      server.start(0);
      running = server;
      Runtime.getRuntime()
          .addShutdownHook(
              new Thread(
                  () -> {
                    server.application.close();
                    server.database.close();
                  }));
    }
    return running;
  }

  private void start(int onPort, String... more) {
    List<String> settings = new ArrayList<>();
    settings.add("--server.port=" + onPort);
    settings.add(
        "--oficina.database=jdbc:mariadb://127.0.0.1:" + database.port() + "/oficina?timezone=UTC");
    settings.add("--oficina.waiting-file=" + database.beside("waiting"));
    settings.add("--oficina.recordings=" + database.beside("recordings"));
    settings.add("--oficina.secrets-key-file=" + database.beside("secrets.key"));
    settings.add("--oficina.demo=true");
    settings.add("--oficina.callers=false");
    settings.add("--oficina.demo-past=" + System.getProperty("oficina.demo-past", "false"));
    // Tests ask without a pause; the limits themselves have tests of their own.
    settings.add("--oficina.limits.requests-per-second=5000");
    settings.add("--oficina.limits.uploads=5000");
    // A machine with much else to do is no database in trouble.
    settings.add("--spring.datasource.hikari.connection-timeout=8000");
    settings.add("--oficina.limits.sign-in-unused=3650d");
    settings.add("--oficina.limits.sign-in-longest=3650d");
    settings.add("--logging.level.oficina=warn");
    settings.addAll(List.of(more));
    application =
        new SpringApplicationBuilder(OficinaApplication.class).run(settings.toArray(String[]::new));
    port = application.getEnvironment().getProperty("local.server.port", Integer.class);
  }

  /** Starts the application anew on the same port and database; its clock goes on. */
  public void restart() {
    restart(() -> {});
  }

  /**
   * @param meanwhile done while it is stopped
   */
  public void restart(Runnable meanwhile) {
    Duration ahead = Duration.between(Instant.now(), clock().instant());
    application.close();
    meanwhile.run();
    start(port);
    clock().advance(ahead);
  }

  public TestDatabase database() {
    return database;
  }

  public String address() {
    return "http://127.0.0.1:" + port;
  }

  public MovableClock clock() {
    return application.getBean(MovableClock.class);
  }

  public <T> T bean(Class<T> type) {
    return application.getBean(type);
  }
}
