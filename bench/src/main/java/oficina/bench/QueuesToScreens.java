package oficina.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadInfo;
import java.lang.management.ThreadMXBean;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;
import oficina.core.numbers.PhoneNumber;
import oficina.core.queueing.Queue;
import oficina.server.Client;
import oficina.server.TestServer;
import oficina.server.exchange.ExchangeLoop;
import oficina.server.json.CoreJson;
import oficina.server.trunk.TrunkCall;
import oficina.server.trunk.TrunkLines;

/**
 * A thousand callers in twenty queues with 500 members, 200 of whom have a page: how soon it rings
 * at a member who becomes free, what it costs to keep the boards up to date, and how soon any day
 * of a million calls is read.
 */
final class QueuesToScreens {
  private static final int QUEUES = 20;
  private static final int MEMBERS = 25;
  private static final int PAGES = 10;

  /** Telephones of those who have no page ring on and on: there is no end to that here. */
  private static final int UNATTENDED = MEMBERS - PAGES;

  private static final int CALLERS = UNATTENDED + 50;
  private static final int FIRST_LINE = 5_000;
  private static final int CALLS = Integer.getInteger("oficina.bench.queue-past", 1_000_000);
  private static final int DAYS = 400;
  private static final int TIMES = 100;
  private static final int CHANGES = 140;

  /** Calls of two and a half minutes at 500 members begin and end about so often. */
  private static final Duration BETWEEN = Duration.ofMillis(150);

  private final TestServer server;
  private final List<Client> pages = new ArrayList<>();
  private final AtomicLong told = new AtomicLong();

  private QueuesToScreens(TestServer server) {
    this.server = server;
  }

  static void measure(TestServer server) throws SQLException, IOException, InterruptedException {
    BenchOffice.addPeople(server.database(), QUEUES * MEMBERS);
    try (Connection connection = BenchOffice.open(server.database())) {
      lines(connection);
    }
    server.restart();
    QueuesToScreens measured = new QueuesToScreens(server);
    measured.measure();
    try (Connection connection = BenchOffice.open(server.database())) {
      past(connection);
    }
    measured.days();
  }

  private static void lines(Connection connection) throws SQLException {
    Queue queue =
        new Queue(
            Queue.Order.LONGEST_IDLE,
            List.of(),
            Duration.ofHours(2),
            999,
            Duration.ZERO,
            List.of(),
            Set.of(),
            Queue.Told.NOTHING,
            Queue.Choices.NONE,
            Queue.DEFAULT.target(),
            Queue.Shown.NOTHING);
    run(connection, "replace into setting (name, value) values ('outside-lines', '5000')");
    try (PreparedStatement group =
            connection.prepareStatement(
                "insert into ring_group (id, name, position, extension, number, ring_seconds)"
                    + " values (?, ?, ?, ?, ?, 3600)");
        PreparedStatement keeps =
            connection.prepareStatement("insert into queue (group_id, body) values (?, ?)")) {
      for (int line = 0; line < QUEUES; line++) {
        group.setLong(1, FIRST_LINE + line);
        group.setString(2, "Queue " + line);
        group.setInt(3, FIRST_LINE + line);
        group.setString(4, Integer.toString(6_000 + line));
        group.setString(5, number(line).e164());
        group.execute();
        keeps.setLong(1, FIRST_LINE + line);
        keeps.setString(2, CoreJson.JSON.writeValueAsString(queue));
        keeps.execute();
      }
    }
    run(
        connection,
        "insert into group_member (group_id, person_id, position)"
            + " select %d + s.seq div %d, 100000 + s.seq, s.seq %% %d from seq_0_to_%d s"
                .formatted(FIRST_LINE, MEMBERS, MEMBERS, QUEUES * MEMBERS - 1));
  }

  private static PhoneNumber number(int line) {
    return new PhoneNumber("+4419149805" + (10 + line));
  }

  /** Of one line, evenly over the days. */
  private static void past(Connection connection) throws SQLException {
    String when = "utc_date() - interval %d day + interval s.seq * %d second";
    String at = when.formatted(DAYS, DAYS * 86_400L / CALLS);
    run(
        connection,
        """
        insert into queue_wait (call_id, group_id, entered, waited_ms, outcome, person_id)
        select concat('past-', s.seq), %d, %s, 1000 * (s.seq %% 90),
          if(s.seq %% 12, 'ANSWERED', 'GIVEN_UP'), 100000 + s.seq %% 25 from seq_1_to_%d s
        """
            .formatted(FIRST_LINE, at, CALLS));
    run(
        connection,
        """
        insert into queue_served (call_id, group_id, person_id, answered, talked_ms)
        select concat('past-', s.seq), %d, 100000 + s.seq %% 25, %s, 150000 from seq_1_to_%d s
        """
            .formatted(FIRST_LINE, at, CALLS));
    run(connection, "analyze table queue_wait, queue_served");
  }

  private static void run(Connection connection, String sql) throws SQLException {
    try (Statement statement = connection.createStatement()) {
      statement.execute(sql);
    }
  }

  private void measure() throws InterruptedException {
    for (int line = 0; line < QUEUES; line++) {
      for (int page = 0; page < PAGES; page++) {
        Client client = Client.signedIn(server.address(), "bench" + (line * MEMBERS + page));
        takePart(client, false);
        pages.add(client);
      }
    }
    callersWait();
    free();
    boards();
  }

  private void days() {
    Random random = new Random(1);
    try (Client member = Client.withoutPage(server.address(), "bench0")) {
      double[] times =
          IntStream.range(-TIMES, TIMES)
              .mapToDouble(
                  i -> {
                    LocalDate day = LocalDate.now().minusDays(1 + random.nextInt(DAYS - 10));
                    String days = "?first=%s&last=%s".formatted(day, day);
                    long begun = System.nanoTime();
                    var answer = member.get("/api/queues/" + FIRST_LINE + "/figures" + days);
                    if (answer.body().get("totals").get("offered").asLong() == 0) {
                      throw new IllegalStateException("nothing on " + day);
                    }
                    return (System.nanoTime() - begun) / 1e6;
                  })
              .skip(TIMES)
              .sorted()
              .toArray();
      row("any day of " + CALLS + " queue calls", times, 50);
    }
  }

  private static void row(String what, double[] sorted, int aim) {
    Main.row(what + ", p50", "%.1f ms", sorted[sorted.length / 2]);
    Main.row("  p95 (aim " + aim + ")", "%.1f ms", sorted[sorted.length * 95 / 100]);
  }

  private static void takePart(Client member, boolean takesPart) {
    member.put("/api/lines/part", Map.of("takesPart", takesPart, "reason", "")).done();
  }

  private void callersWait() {
    for (int i = 0; i < QUEUES * CALLERS; i++) {
      arrives(i);
    }
  }

  private void arrives(int caller) {
    PhoneNumber from = new PhoneNumber("+44770090%04d".formatted(caller));
    PhoneNumber to = number(caller % QUEUES);
    TrunkCall call = new TrunkCall("bench-" + caller);
    server
        .bean(ExchangeLoop.class)
        .ask(
            () -> {
              server.bean(TrunkLines.class).arrives(call, from, to);
              return null;
            })
        .join();
  }

  /** From the click until it rings on the page of whoever takes part again. */
  private void free() {
    double[] times = new double[TIMES];
    for (int i = -20; i < TIMES; i++) {
      Client member = pages.get(Math.floorMod(i * 7, pages.size()));
      long said = System.nanoTime();
      takePart(member, true);
      String call = member.awaitCall("RINGING").get("id").asString();
      if (i >= 0) {
        times[i] = (member.lastPushAt() - said) / 1e6;
      }
      takePart(member, false);
      member.service(call, "decline");
      member.awaitNoCalls();
    }
    Arrays.sort(times);
    row("1,000 wait, a member is free: until it rings on the page", times, 50);
  }

  /**
   * What boards cost: callers leave and others come, with 200 pages that are told of it, and beside
   * that the same with none.
   */
  private void boards() throws InterruptedException {
    List<Thread> readers = pages.stream().map(this::reader).toList();
    readers.forEach(Thread::start);
    Thread.sleep(2_000);
    told.set(0);
    double begun = System.nanoTime();
    double withBoards = changes(QUEUES * CALLERS - CHANGES);
    double toldEach = told.get() / ((System.nanoTime() - begun) / 1e9);
    readers.forEach(Thread::interrupt);
    pages.forEach(Client::close);
    Thread.sleep(12_000); // pages count as gone only after a while
    double without = changes(QUEUES * CALLERS);
    Main.row(
        "%d callers hear music, 7 a second come and go".formatted(QUEUES * CALLERS),
        "%.1f %% of a processor",
        100 * without);
    Main.row(
        "  boards of 200 people, told %.0f times a second (aim 5)".formatted(toldEach),
        "%.1f %% of a processor more",
        100 * (withBoards - without));
  }

  /**
   * The callers from this one on leave one after the other, and others take their place.
   *
   * @return how many processors were used meanwhile
   */
  private double changes(int first) throws InterruptedException {
    double before = processorSeconds();
    long begun = System.nanoTime();
    for (int i = first; i < first + CHANGES; i++) {
      TrunkCall gone = new TrunkCall("bench-" + i);
      server.bean(ExchangeLoop.class).post(() -> server.bean(TrunkLines.class).clears(gone));
      arrives(i + CHANGES);
      Thread.sleep(BETWEEN.toMillis());
    }
    return (processorSeconds() - before) / ((System.nanoTime() - begun) / 1e9);
  }

  private Thread reader(Client page) {
    Thread thread =
        new Thread(
            () -> {
              while (!Thread.currentThread().isInterrupted()) {
                page.await(push -> push.has("queues"));
                told.incrementAndGet();
              }
            },
            "bench-page");
    thread.setDaemon(true);
    return thread;
  }

  /** Of the server's threads alone: the pages are played in the same process. */
  private static double processorSeconds() {
    ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    return Arrays.stream(threads.getThreadInfo(threads.getAllThreadIds()))
            .filter(each -> each != null && ofServer(each))
            .mapToLong(each -> Math.max(0, threads.getThreadCpuTime(each.getThreadId())))
            .sum()
        / 1e9;
  }

  private static boolean ofServer(ThreadInfo thread) {
    String name = thread.getThreadName();
    return !name.startsWith("bench") && !name.startsWith("HttpClient") && !name.equals("main");
  }
}
