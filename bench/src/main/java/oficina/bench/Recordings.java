package oficina.bench;

import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.io.InputStream;
import java.lang.management.ManagementFactory;
import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.server.Client;
import oficina.server.TestServer;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.softphone.CodecEnd;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEngine;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Recordings: what recording costs, a long list, and a recording of an hour. */
final class Recordings {
  private static final int MANY = 100_000;
  private static final int HOUR = 3_600;
  private static final int RATE = 16_000;
  private static final int HEADER = 44;
  private static final int TIMES = 60;
  private static final int CALLS = 50;
  private static final int RECORDED = Integer.getInteger("oficina.recorded.seconds", 600);
  private static final int UNRECORDED = Math.min(RECORDED, 120);

  private static final long PATIENCE_NANOS = 300_000_000_000L;

  private Recordings() {}

  static void measure(TestServer server) throws SQLException, IOException, InterruptedException {
    try (Client ines = Client.signedIn(server.address(), "ines")) {
      long person = ines.get("/api/session").body().get("id").asLong();
      long hour = fill(server, person);
      list(ines);
      hour(ines, hour);
    }
    cost(server);
  }

  /** A long list, with one of an hour as its first; answers which that is. */
  private static long fill(TestServer server, long person) throws SQLException {
    try (Connection connection = BenchOffice.open(server.database());
        PreparedStatement sound =
            connection.prepareStatement(
                "insert into sound (channels, samples) values (2, ?)",
                PreparedStatement.RETURN_GENERATED_KEYS);
        PreparedStatement second =
            connection.prepareStatement("insert into sound_second values (?, ?, ?)");
        PreparedStatement recording =
            connection.prepareStatement(
                """
                insert into recording (place, call_id, owner, other, began, length_ms, sound_id,
                  ready, ours, theirs)
                values (?, ?, ?, '{"is":"Outside","number":{"e164":"+441514960177"}}', ?, ?, ?,
                  true, repeat('a', 400), repeat('a', 400))
                """)) {
      connection.setAutoCommit(false);
      sound.setInt(1, HOUR * RATE);
      sound.executeUpdate();
      long id;
      try (var keys = sound.getGeneratedKeys()) {
        keys.next();
        id = keys.getLong(1);
      }
      byte[] noise = new byte[2 * RATE];
      Random random = new Random(4);
      for (int i = 0; i < HOUR; i++) {
        random.nextBytes(noise);
        second.setLong(1, id);
        second.setInt(2, i);
        second.setBytes(3, noise);
        second.executeUpdate();
      }
      Instant now = Instant.now();
      for (int i = 0; i < MANY; i++) {
        recording.setString(1, "bench-" + i);
        recording.setString(2, "bench-" + i);
        recording.setLong(3, person);
        recording.setTimestamp(4, Timestamp.from(now.minusSeconds(60L * i)));
        recording.setInt(5, i == 0 ? HOUR * 1_000 : 60_000);
        recording.setLong(6, id);
        recording.addBatch();
        if (i % 1_000 == 999) {
          recording.executeBatch();
        }
      }
      connection.commit();
    }
    return server
        .bean(JdbcClient.class)
        .sql("select id from recording where place = 'bench-0'")
        .query(Long.class)
        .single();
  }

  private static double p95(IntFunction<Double> once) {
    double[] times = IntStream.range(0, TIMES).mapToDouble(once::apply).sorted().toArray();
    return times[TIMES * 95 / 100];
  }

  private interface Asking {
    void ask() throws IOException;
  }

  private static double millis(Asking what) {
    long started = System.nanoTime();
    try {
      what.ask();
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return (System.nanoTime() - started) / 1e6;
  }

  private static void list(Client ines) {
    String next = "";
    List<String> pages = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      next = ines.get("/api/recordings?before=" + next).body().get("next").asString();
      pages.add(next);
    }
    Main.row(
        "list of 100,000 recordings, first page, p95 (aim 50)",
        "%.0f ms",
        p95(i -> millis(() -> ines.get("/api/recordings"))));
    String middle = Instant.now().minusSeconds(60L * MANY / 2).toString() + "_999999999";
    Main.row(
        "list of 100,000 recordings, in the middle, p95 (aim 50)",
        "%.0f ms",
        p95(i -> millis(() -> ines.get("/api/recordings?before=" + middle))));
    Main.row(
        "list of 100,000 recordings, one page after another, p95",
        "%.0f ms",
        p95(i -> millis(() -> ines.get("/api/recordings?before=" + pages.get(i % 20)))));
  }

  private static void hour(Client ines, long id) {
    String address = "/api/recordings/" + id;
    Main.row(
        "opening a recording of an hour to its first sound, p95 (aim 200)",
        "%.0f ms",
        p95(
            i ->
                millis(
                    () -> {
                      ines.get(address);
                      firstBytes(ines, address + "/sound", 0);
                    })));
    Random random = new Random(6);
    Main.row(
        "seeking in it, p95 (aim 100)",
        "%.0f ms",
        p95(
            i -> {
              long at = HEADER + 4L * RATE * random.nextInt(HOUR - 2);
              return millis(() -> firstBytes(ines, address + "/sound", at));
            }));
  }

  /**
   * A second of sound from there on, as a browser asks for it: up to the end, and stops reading.
   */
  private static void firstBytes(Client client, String address, long from) throws IOException {
    HttpResponse<InputStream> answer = client.stream(address, "Range", "bytes=" + from + "-");
    try (InputStream in = answer.body()) {
      if (in.readNBytes(4 * RATE).length < 4 * RATE) {
        throw new IOException("less than a second");
      }
    }
  }

  // --- what it costs ----------------------------------------------------------------------------

  private static void cost(TestServer server) throws InterruptedException {
    ExchangeLoop loop = server.bean(ExchangeLoop.class);
    SoundEngine engine = server.bean(SoundEngine.class);
    DeviceId device = new DeviceId("recordings");
    List<CodecEnd> ends = new ArrayList<>();
    for (int i = 0; i < 2 * CALLS; i++) {
      CodecEnd end = new CodecEnd(/* opus= */ true);
      ends.add(end);
      engine.attach(new EndId.Device(person(i), device), end);
    }
    List<CallId> calls = new ArrayList<>();
    for (int i = 0; i < CALLS; i++) {
      CallId call = new CallId("r" + i);
      calls.add(call);
      Dialled to = new Dialled.Internal(Long.toString(BenchOffice.FIRST_EXTENSION + 2L * i + 1));
      loop.submit(new CallCommand.MakeCall(call, person(2 * i), device, to, null)).join();
      loop.submit(new CallCommand.Answer(call, person(2 * i + 1), device)).join();
    }
    double without = processorShare(UNRECORDED);
    for (int i = 0; i < CALLS; i++) {
      loop.submit(new CallCommand.Tape(calls.get(i), person(2 * i), true)).join();
    }
    System.gc();
    long memory = used();
    long late = engine.lateFrames();
    long frames = engine.frames();
    double with = processorShare(RECORDED);
    System.gc();
    Main.row("50 calls, processors busy", "%.2f", without);
    Main.row("50 calls recorded for " + RECORDED + " s, processors busy", "%.2f", with);
    Main.row("  memory before", "%,.0f MB", memory / 1e6);
    Main.row("  memory after", "%,.0f MB", used() / 1e6);
    Main.row(
        "  frames within 20 ms of their time",
        "%.3f %%",
        100.0 - 100.0 * (engine.lateFrames() - late) / (engine.frames() - frames));
    long started = System.nanoTime();
    for (int i = 0; i < CALLS; i++) {
      loop.submit(new CallCommand.Clear(calls.get(i), person(2 * i))).join();
    }
    JdbcClient jdbc = server.bean(JdbcClient.class);
    while (filed(jdbc) < CALLS && System.nanoTime() - started < PATIENCE_NANOS) {
      Thread.sleep(200);
    }
    Main.row(
        "  until all of them are in the database", "%.1f s", (System.nanoTime() - started) / 1e9);
    long bytes =
        jdbc.sql(
                """
                select coalesce(avg(b), 0) from (select sum(length(s.sound)) b from recording r
                join sound_second s on s.sound_id = r.sound_id
                where r.call_id like 'r%' group by r.id) each_one
                """)
            .query(Long.class)
            .single();
    Main.row("  bytes a minute", "%,.0f kB", bytes / 1e3 * 60 / RECORDED);
    ends.forEach(CodecEnd::close);
  }

  private static long filed(JdbcClient jdbc) {
    return jdbc.sql("select count(*) from recording where call_id like 'r%' and ready")
        .query(Long.class)
        .single();
  }

  /** How many processors this process keeps busy over so many seconds. */
  private static double processorShare(int seconds) throws InterruptedException {
    OperatingSystemMXBean machine =
        (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
    long before = machine.getProcessCpuTime();
    long started = System.nanoTime();
    Thread.sleep(Duration.ofSeconds(seconds).toMillis());
    return (machine.getProcessCpuTime() - before) / (double) (System.nanoTime() - started);
  }

  private static PersonId person(int number) {
    return new PersonId(100_000L + number);
  }

  private static long used() {
    return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
  }
}
