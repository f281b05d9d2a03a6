package oficina.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import oficina.server.Client;
import oficina.server.ServerProcess;
import oficina.server.softphone.TestPage;

/**
 * What employees can do to keep others from working: files of nonsense, handshakes that stop, long
 * texts to be spoken, wrong passwords. Meanwhile somebody connects their sound, hears a greeting
 * and signs in.
 */
final class Attacks {
  private static final int ATTACKERS = 8;
  private static final int WINDOWS = 12;
  private static final int PAUSE_MS = 500;

  private final ServerProcess server;
  private final List<Client> desks;
  private final Client honest;
  private final Client called;

  /** How long each took whom nobody should keep waiting, in milliseconds. */
  private final List<Double> waited = Collections.synchronizedList(new ArrayList<>());

  /**
   * @param desks of whoever works meanwhile; the first ones attack
   * @param honest somebody who does not
   * @param called a colleague whom they call now and then
   */
  Attacks(ServerProcess server, List<Client> desks, Client honest, Client called) {
    this.server = server;
    this.desks = desks;
    this.honest = honest;
    this.called = called;
  }

  /** Something is done again and again by each of the attackers, until it is interrupted. */
  private void byAll(String what, Callable<?> attack, Callable<?> honestly)
      throws InterruptedException {
    waited.clear();
    List<Double> rang = new ArrayList<>();
    List<Thread> attackers = new ArrayList<>();
    for (int i = 0; i < ATTACKERS; i++) {
      attackers.add(new Thread(() -> again(attack)));
    }
    attackers.forEach(Thread::start);
    try {
      while (true) {
        long begun = System.nanoTime();
        quietly(honestly);
        waited.add((System.nanoTime() - begun) / 1e6);
        quietly(() -> rang.add(ClickToScreen.ringing(honest, number(desks.size() + 1), called)));
        Thread.sleep(PAUSE_MS);
      }
    } finally {
      attackers.forEach(Thread::interrupt);
      row(what + ", p50", waited, 50);
      row(what + ", p95", waited, 95);
      row("click to the other screen, p50", rang, 50);
      row("click to the other screen, p95 (aim 50 ms)", rang, 95);
    }
  }

  private static void row(String what, List<Double> times, int share) {
    List<Double> sorted = times.stream().sorted().toList();
    if (!sorted.isEmpty()) {
      Main.row("  " + what, "%.0f ms", sorted.get(sorted.size() * share / 100));
    }
  }

  private static String number(int of) {
    return Integer.toString(BenchOffice.FIRST_EXTENSION + of);
  }

  private static void again(Callable<?> attack) {
    while (!Thread.currentThread().isInterrupted()) {
      quietly(attack);
    }
  }

  /** Whoever attacks does not mind being refused. */
  private static void quietly(Callable<?> attack) {
    try {
      attack.call();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (Exception | AssertionError e) {
      if (e.getCause() instanceof InterruptedException) {
        Thread.currentThread().interrupt();
      }
    }
  }

  private Client anyAttacker() {
    return desks.get((int) (Thread.currentThread().getId() % ATTACKERS));
  }

  /** In quiet: what the others are compared with. */
  void nothing() throws InterruptedException {
    byAll("sound connected (aim 1 s)", () -> sleep(1_000), this::connectSound);
  }

  /** Files of thirty megabytes of which nothing can be read. */
  void files() throws InterruptedException {
    byte[] file = "a\n".repeat(15 << 20).getBytes(StandardCharsets.US_ASCII);
    byAll(
        "sound connected (aim 1 s)",
        () -> anyAttacker().upload("/api/contact-imports", file, "text/vcard"),
        this::connectSound);
  }

  /** Each window of a few people begins a handshake and stops, and then anew. */
  void handshakes() throws InterruptedException {
    for (int i = 0; i < ATTACKERS; i++) {
      for (int window = 0; window < WINDOWS - 1; window++) {
        desks.get(i).connectAnother("half-" + window);
      }
    }
    byAll("sound connected (aim 1 s)", this::beginAndStop, this::connectSound);
  }

  private Void beginAndStop() throws IOException, InterruptedException {
    List<TestPage> pages = new ArrayList<>();
    for (int window = 0; window < WINDOWS - 1; window++) {
      TestPage page = new TestPage();
      pages.add(page);
      String sdp = offered(anyAttacker(), "half-" + window, page);
      if (!sdp.isEmpty()) {
        page.answered(sdp);
        page.beginToConnect();
      }
    }
    Thread.sleep(PAUSE_MS);
    pages.forEach(TestPage::close);
    return null;
  }

  private static String offered(Client who, String device, TestPage page) {
    return who.post("/api/softphone", Map.of("device", device, "sdp", page.offer(false)))
        .body()
        .path("sdp")
        .asString("");
  }

  Void connectSound() throws IOException {
    try (TestPage page = new TestPage()) {
      page.answered(offered(honest, "window", page));
      page.connect();
    }
    return null;
  }

  /** The longest texts there may be, each another one. */
  void texts() throws InterruptedException {
    String text = "This is the office of the ferries, and nobody can come to the telephone. ";
    List<String> occasions = List.of("NO_ANSWER", "BUSY", "AWAY", "CLOSED");
    int[] turn = {0};
    byAll(
        "greeting spoken for a caller",
        () ->
            anyAttacker()
                .post(
                    "/api/greetings/typed",
                    Map.of("text", System.nanoTime() + " " + text.repeat(12))),
        () -> {
          // Each is another sentence, which nobody has had spoken before.
          Client whose = desks.get(ATTACKERS + turn[0] / occasions.size());
          String mailbox = whose.get("/api/greetings").body().get(0).get("mailbox").asString();
          String occasion = occasions.get(turn[0]++ % occasions.size());
          return whose.bytes("/api/greetings/" + mailbox + "/" + occasion + "/sound");
        });
  }

  /** Wrong passwords, while four programs keep the processors busy that have nothing to do here. */
  void passwords() throws InterruptedException, IOException {
    List<Process> busy = new ArrayList<>();
    try {
      for (int i = 0; i < 4; i++) {
        busy.add(new ProcessBuilder("sh", "-c", "while :; do :; done").start());
      }
      Client known = new Client(server.address());
      known.show("oficina-browser", honest.cookie("oficina-browser"));
      byAll(
          "right password (aim 10 s)",
          () -> signIn(new Client(server.address()), "bench1", "a wrong guess"),
          () -> signIn(known, "bench" + desks.size(), "harbour-light"));
    } finally {
      busy.forEach(Process::destroyForcibly);
    }
  }

  private static Client.Answer signIn(Client browser, String name, String password) {
    return browser.post("/api/session", Map.of("name", name, "password", password));
  }

  private static Void sleep(long millis) throws InterruptedException {
    Thread.sleep(millis);
    return null;
  }
}
