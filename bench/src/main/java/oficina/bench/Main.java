package oficina.bench;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import oficina.server.TestServer;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Measures everything, or the parts that are named, and prints one table. */
public final class Main {
  private static final int CALLS = 300;

  private Main() {}

  public static void main(String[] args)
      throws RunnerException, IOException, SQLException, InterruptedException {
    System.out.printf(
        "%nMachine: %d processors, %s %s, Java %s%n%n",
        Runtime.getRuntime().availableProcessors(),
        System.getProperty("os.name"),
        System.getProperty("os.arch"),
        System.getProperty("java.version"));
    for (Map.Entry<String, Part> part : PARTS.entrySet()) {
      if (args.length == 0 || List.of(args).contains(part.getKey())) {
        part.getValue().measure();
      }
    }
    System.exit(0);
  }

  /** A part of the measurements, which runs by itself as well. */
  private interface Part {
    void measure() throws RunnerException, IOException, SQLException, InterruptedException;
  }

  private static final Map<String, Part> PARTS = new LinkedHashMap<>();

  static {
    PARTS.put("exchange", Main::exchange);
    PARTS.put("routing", Routing::measure);
    PARTS.put("queues", Queueing::measure);
    PARTS.put("day", () -> new OfficeDay().run());
    PARTS.put("start", Main::start);
    PARTS.put("click", Main::click);
    PARTS.put("key", () -> KeyToScreen.measure(TestServer.get()));
    PARTS.put("transfers", () -> Transfers.measure(TestServer.get()));
    PARTS.put("long-call", () -> LongCall.measure(TestServer.get()));
    PARTS.put("contacts", () -> CardIndex.measure(TestServer.get()));
    PARTS.put("voices", () -> Voices.measure(TestServer.get()));
    PARTS.put("messages", () -> Messages.measure(TestServer.get()));
    PARTS.put("recordings", () -> Recordings.measure(TestServer.get()));
    PARTS.put("history", () -> BigHistory.measure(TestServer.get()));
    PARTS.put("queue-pages", () -> QueuesToScreens.measure(TestServer.get()));
    PARTS.put("killed", KilledToLive::measure);
    PARTS.put("killed-speaking", KilledSpeaking::measure);
    PARTS.put("status", StatusToScreens::measure);
    PARTS.put("siege", Siege::measure);
    PARTS.put("script", Main::script);
  }

  private static void start() {
    long started = System.nanoTime();
    TestServer server = TestServer.get();
    double all = (System.nanoTime() - started) / 1e9;
    started = System.nanoTime();
    server.restart();
    row("server start until ready, warm process", "%.1f s", (System.nanoTime() - started) / 1e9);
    row("the same with a new database made and filled", "%.1f s", all);
  }

  private static void click() {
    double[] times = ClickToScreen.measure(TestServer.get().address(), CALLS);
    row("click to the other screen, p50 of " + CALLS, "%.1f ms", times[CALLS / 2]);
    row("click to the other screen, p95 (aim 50 ms)", "%.1f ms", times[CALLS * 95 / 100]);
  }

  private static void script() throws IOException {
    row("script of the first page, with the desk (aim 160 kB)", "%.0f kB", scriptBytes() / 1000.0);
  }

  private static void exchange() throws RunnerException {
    Collection<RunResult> results =
        new Runner(
                new OptionsBuilder()
                    .include(BusyExchange.class.getSimpleName())
                    .forks(1)
                    .warmupIterations(3)
                    .warmupTime(TimeValue.seconds(2))
                    .measurementIterations(5)
                    .measurementTime(TimeValue.seconds(2))
                    .verbosity(VerboseMode.SILENT)
                    .build())
            .run();
    List<Double> rates = results.stream().map(r -> r.getPrimaryResult().getScore()).toList();
    int i = 0;
    for (RunResult result : results) {
      row(
          "exchange, " + result.getParams().getParam("callsInProgress") + " calls in progress",
          "%,.0f commands/s",
          rates.get(i++));
    }
    row(
        "cost at the most calls against the fewest (aim 1.5)",
        "%.2f times",
        rates.get(0) / rates.get(rates.size() - 1));
  }

  /** What every page loads before it shows anything, packed. */
  private static long scriptBytes() throws IOException {
    Path built = Path.of("web/dist");
    String page = Files.readString(built.resolve("index.html"));
    try (Stream<Path> files = Files.list(built.resolve("assets"))) {
      ByteArrayOutputStream packed = new ByteArrayOutputStream();
      for (Path file : files.toList()) {
        String name = file.getFileName().toString();
        if (page.contains(name) && name.endsWith(".js")) {
          try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            Files.copy(file, gzip);
          }
        }
      }
      return packed.size();
    }
  }

  static void row(String what, String format, double value) {
    System.out.printf(Locale.ROOT, "%-58s " + format + "%n", what, value);
  }
}
