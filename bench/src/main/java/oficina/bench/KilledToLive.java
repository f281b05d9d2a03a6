package oficina.bench;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ThreadLocalRandom;
import oficina.server.Client;
import oficina.server.ServerProcess;

/** How long from the death of the server until every desk is live again, with 200 calls up. */
final class KilledToLive {
  /** Each calls the next one, so that there are as many calls as people. */
  private static final int CALLS = 200;

  private static final int RETRY_MS = 500;

  private KilledToLive() {}

  static void measure() throws SQLException {
    try (ServerProcess server = new ServerProcess()) {
      server.start();
      BenchOffice.addPeople(server.database(), CALLS);
      server.kill();
      server.start();
      List<Client> desks = new ArrayList<>();
      for (int i = 0; i < CALLS; i++) {
        desks.add(Client.signedIn(server.address(), "bench" + i));
      }
      for (int i = 0; i < CALLS; i++) {
        String call =
            desks.get(i).call(Integer.toString(BenchOffice.FIRST_EXTENSION + (i + 1) % CALLS));
        desks.get((i + 1) % CALLS).service(call, "answer");
      }
      long killed = System.nanoTime();
      server.kill();
      server.launch();
      CountDownLatch up = new CountDownLatch(1);
      CountDownLatch live = new CountDownLatch(CALLS);
      for (Client desk : desks) {
        new Thread(() -> comeBack(desk, up, live)).start();
      }
      coldStart(server, killed);
      up.countDown();
      live.await();
      Main.row(
          "killed to all of 200 desks live again, 200 calls (aim 8)",
          "%.1f s",
          (System.nanoTime() - killed) / 1e9);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private static void coldStart(ServerProcess server, long killed) {
    server.awaitReady();
    Main.row("  until the process answers (aim 5)", "%.1f s", (System.nanoTime() - killed) / 1e9);
  }

  /**
   * Tries as often as a page does, until it has been told of both calls. That nobody answers before
   * the server is up costs a page's own computer something, which this one would take from the
   * server.
   */
  private static void comeBack(Client desk, CountDownLatch up, CountDownLatch live) {
    try {
      up.await();
      Thread.sleep(ThreadLocalRandom.current().nextInt(RETRY_MS));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return;
    }
    while (true) {
      try {
        if (desk.connect().get("calls").size() == 2) {
          live.countDown();
          return;
        }
        throw new IllegalStateException("a call is missing");
      } catch (RuntimeException | AssertionError notYet) {
        try {
          Thread.sleep(RETRY_MS);
        } catch (InterruptedException e) {
          Thread.currentThread().interrupt();
          return;
        }
      }
    }
  }
}
