package oficina.bench;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import oficina.server.Client;
import oficina.server.ServerProcess;

/**
 * A hundred people with pages who do something with their calls twice a second, for a minute: in
 * quiet, during a flood of made-up sign-ins, with a thousand pages that do not read, with a
 * database that is frozen for twenty seconds, and during each of {@link Attacks}.
 */
final class Siege {
  private static final int PEOPLE = 100;
  private static final int SECONDS = Integer.getInteger("oficina.siege.seconds", 60);
  private static final int WARM_UP_SECONDS = 90;
  private static final int PACE_MS = 500;
  private static final int FLOOD = 200;
  private static final int DEAF = 1_000;

  private final ServerProcess server;
  private final List<Client> desks = new ArrayList<>();
  private final List<String> calls = new ArrayList<>();

  /** The p95 in quiet, in milliseconds: machines differ, what a disturbance adds differs less. */
  private double quiet;

  private Siege(ServerProcess server) {
    this.server = server;
  }

  static void measure() throws SQLException, IOException, InterruptedException {
    try (ServerProcess server = BenchOffice.server(PEOPLE + 2)) {
      Siege siege = new Siege(server);
      siege.everybodyTalks();
      Client honest = Client.signedIn(server.address(), "bench" + PEOPLE);
      honest.connectAnother("window");
      Client called = Client.signedIn(server.address(), "bench" + (PEOPLE + 1));
      Attacks attacks = new Attacks(server, siege.desks, honest, called);
      attacks.connectSound(); // the first one has a library to load
      siege.work(Duration.ofSeconds(WARM_UP_SECONDS));
      siege.run("in quiet", attacks::nothing);
      siege.run("while files of nonsense are read in", attacks::files);
      siege.run("while handshakes begin and stop", attacks::handshakes);
      siege.run("while long texts are spoken", attacks::texts);
      siege.run("while wrong passwords are tried, processors busy", attacks::passwords);
      siege.run("during 200 made-up sign-ins at once", siege::flood);
      siege.run("with 1,000 pages that do not read", siege::deafPages);
      siege.run("with the database frozen for 20 s", siege::freeze);
    }
  }

  private void everybodyTalks() {
    for (int i = 0; i < PEOPLE; i++) {
      Client desk = Client.signedIn(server.address(), "bench" + i);
      desk.takeInAndForget();
      desks.add(desk);
    }
    for (int i = 0; i < PEOPLE; i += 2) {
      String call = desks.get(i).call(Integer.toString(BenchOffice.FIRST_EXTENSION + i + 1));
      desks.get(i + 1).service(call, "answer");
      calls.add(call);
    }
  }

  /** What disturbs, in threads of its own, until it is interrupted. */
  private interface Disturbance {
    void disturb() throws Exception;
  }

  private void run(String what, Disturbance disturbance) throws IOException, InterruptedException {
    long before = residentMegabytes();
    double processorsBefore = processorSeconds();
    Thread disturbing = new Thread(() -> untilOver(disturbance));
    disturbing.start();
    Worked worked = work(Duration.ofSeconds(SECONDS));
    disturbing.interrupt();
    disturbing.join();
    List<Double> sorted = worked.times().stream().sorted().toList();
    Main.row("100 people " + what, "%,.0f services/s", (double) sorted.size() / SECONDS);
    for (int share : new int[] {50, 95, 99}) {
      Main.row("  p" + share, "%.1f ms", sorted.get(sorted.size() * share / 100));
    }
    double p95 = sorted.get(sorted.size() * 95 / 100);
    quiet = quiet == 0 ? p95 : quiet;
    Main.row("  p95 against that in quiet (aim 2)", "%.1f times", p95 / quiet);
    Main.row(
        "  of a processor the server took",
        "%.0f %%",
        100 * (processorSeconds() - processorsBefore) / SECONDS);
    Main.row("  refused", "%.0f", worked.refused().doubleValue());
    Main.row("  memory before", "%.0f MB", (double) before);
    Main.row("  memory after", "%.0f MB", (double) residentMegabytes());
  }

  /**
   * What came of it.
   *
   * @param times of all services, in milliseconds
   */
  private record Worked(List<Double> times, AtomicInteger refused) {}

  /** Everybody does something with their calls twice a second. */
  private Worked work(Duration howLong) throws InterruptedException {
    List<Double> times = Collections.synchronizedList(new ArrayList<>());
    AtomicInteger refused = new AtomicInteger();
    ScheduledExecutorService clock = Executors.newScheduledThreadPool(PEOPLE);
    for (int i = 0; i < PEOPLE; i++) {
      Client desk = desks.get(i);
      String path = "/api/calls/" + calls.get(i / 2) + "/mute";
      AtomicInteger turn = new AtomicInteger();
      clock.scheduleAtFixedRate(
          () -> {
            long begun = System.nanoTime();
            int status = desk.post(path, Map.of("on", turn.getAndIncrement() % 2 == 0)).status();
            times.add((System.nanoTime() - begun) / 1e6);
            refused.addAndGet(status == 204 ? 0 : 1);
          },
          i * PACE_MS / PEOPLE,
          PACE_MS,
          TimeUnit.MILLISECONDS);
    }
    Thread.sleep(howLong.toMillis());
    clock.shutdown();
    clock.awaitTermination(30, TimeUnit.SECONDS);
    return new Worked(times, refused);
  }

  private static void untilOver(Disturbance disturbance) {
    try {
      disturbance.disturb();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (Exception e) {
      throw new IllegalStateException(e);
    }
  }

  /** What the server has taken of the processors so far. */
  private double processorSeconds() {
    return ProcessHandle.of(server.pid())
        .flatMap(process -> process.info().totalCpuDuration())
        .map(taken -> taken.toMillis() / 1e3)
        .orElse(0.0);
  }

  private long residentMegabytes() throws IOException {
    return Files.readAllLines(Path.of("/proc/" + server.pid() + "/status")).stream()
        .filter(line -> line.startsWith("VmRSS"))
        .mapToLong(line -> Long.parseLong(line.replaceAll("[^0-9]", "")) / 1024)
        .findFirst()
        .orElseThrow();
  }

  private void flood() throws InterruptedException {
    Client stranger = new Client(server.address());
    stranger.get("/api/session");
    String token = stranger.cookie("XSRF-TOKEN");
    HttpClient http = HttpClient.newHttpClient();
    List<Thread> flood = new ArrayList<>();
    for (int i = 0; i < FLOOD; i++) {
      String body = "{\"name\":\"nobody" + i + "\",\"password\":\"a guess\"}";
      HttpRequest guess =
          HttpRequest.newBuilder(URI.create(server.address() + "/api/session"))
              .header("Content-Type", "application/json")
              .header("X-XSRF-TOKEN", token)
              .header("Cookie", "XSRF-TOKEN=" + token)
              .POST(HttpRequest.BodyPublishers.ofString(body))
              .build();
      Thread thread = new Thread(() -> again(http, guess));
      thread.start();
      flood.add(thread);
    }
    try {
      new CountDownLatch(1).await();
    } finally {
      flood.forEach(Thread::interrupt);
    }
  }

  private static void again(HttpClient http, HttpRequest request) {
    while (!Thread.currentThread().isInterrupted()) {
      try {
        http.send(request, HttpResponse.BodyHandlers.discarding());
      } catch (IOException e) {
        // refused in its own way: once more
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  /** They are given up by and by, and come again. */
  private void deafPages() throws IOException, InterruptedException {
    List<Socket> deaf = new ArrayList<>();
    try {
      while (true) {
        for (int i = 0; i < DEAF; i++) {
          deaf.add(deafPage(desks.get(i % PEOPLE)));
        }
        Thread.sleep(SECONDS * 250L);
        closeAll(deaf);
      }
    } finally {
      closeAll(deaf);
    }
  }

  private static void closeAll(List<Socket> sockets) throws IOException {
    for (Socket socket : sockets) {
      socket.close();
    }
    sockets.clear();
  }

  private Socket deafPage(Client desk) throws IOException {
    URI address = URI.create(server.address());
    Socket socket = new Socket();
    socket.setReceiveBufferSize(4_096);
    socket.connect(new InetSocketAddress("127.0.0.1", address.getPort()));
    String handshake =
        String.join(
            "\r\n",
            "GET /api/push?device=deaf HTTP/1.1",
            "Host: " + address.getAuthority(),
            "Cookie: oficina-sign-in=" + desk.cookie("oficina-sign-in"),
            "Upgrade: websocket",
            "Connection: Upgrade",
            "Sec-WebSocket-Version: 13",
            "Sec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==",
            "",
            "");
    socket.getOutputStream().write(handshake.getBytes(StandardCharsets.US_ASCII));
    return socket;
  }

  private void freeze() throws InterruptedException {
    Thread.sleep(10_000);
    server.database().freeze();
    try {
      Thread.sleep(20_000);
    } finally {
      server.database().thaw();
    }
  }
}
