package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;

/**
 * The server is killed at random moments under traffic, also while it is still starting. Whatever
 * was confirmed is there afterwards; what was under way has happened wholly or not at all.
 */
class KilledServerTest {
  private static final int KILLS = Integer.getInteger("oficina.kills", 8);
  private static final int LONGEST_WORK_MS = 2_500;
  private static final int LONGEST_START_MS = 4_000;
  private static final long PATIENCE_NANOS = 60_000_000_000L;
  private static final long SEED = 269;

  @Test
  void whatever_was_confirmed_outlives_being_killed_at_any_moment() throws Exception {
    try (ServerProcess server = new ServerProcess()) {
      // However long it takes to start: calls that nobody attends meanwhile are not to be given up.
      server.database().set("unattended", "3600");
      server.start();
      AtomicBoolean over = new AtomicBoolean();
      List<Traffic> all = new ArrayList<>();
      List<Thread> threads = new ArrayList<>();
      for (List<String> pair :
          List.of(
              List.of("ines", "tomasz", "61"),
              List.of("adaeze", "una", "62"),
              List.of("bram", "lotte", "63"))) {
        Traffic traffic = new Traffic(server, pair.get(0), pair.get(1), pair.get(2), over);
        all.add(traffic);
        threads.add(new Thread(traffic, "traffic-" + pair.get(0)));
      }
      threads.forEach(Thread::start);
      Random random = new Random(SEED);
      // While it starts, while people come back to it, and while they are at work, in turn. Few
      // calls may happen to be up at the kills: then it is killed more often.
      List<Integer> returns = all.stream().map(Traffic::returns).toList();
      for (int kill = 1;
          kill <= KILLS || (kill <= 4 * KILLS && resumed(all) <= KILLS / 2);
          kill++) {
        if (kill % 2 == 0) {
          server.awaitReady();
          if (kill % 4 == 0) {
            awaitReturns(all, returns);
          }
          Thread.sleep(random.nextInt(LONGEST_WORK_MS));
        } else {
          Thread.sleep(random.nextInt(LONGEST_START_MS));
        }
        server.kill();
        returns = all.stream().map(Traffic::returns).toList();
        server.launch();
      }
      server.awaitReady();
      Thread.sleep(2_000);
      over.set(true);
      for (Thread thread : threads) {
        thread.join(240_000);
      }
      for (Traffic traffic : all) {
        assertThat(traffic.wrong).as("seed %d", SEED).isEmpty();
        assertThat(traffic.confirmed).as("commands of %s", traffic).isGreaterThan(KILLS);
      }
      server.kill();
      assertThat(resumed(all))
          .as("calls that were up when the server was killed, and went on")
          .isGreaterThan(KILLS / 2);
      checkDatabase(server.database(), all);
    }
  }

  /** Until everybody has found the server more often than that. */
  private static void awaitReturns(List<Traffic> all, List<Integer> before)
      throws InterruptedException {
    long patience = System.nanoTime() + PATIENCE_NANOS;
    for (int i = 0; i < all.size(); i++) {
      while (all.get(i).returns() == before.get(i) && System.nanoTime() < patience) {
        Thread.sleep(20);
      }
    }
  }

  private static int resumed(List<Traffic> all) {
    return all.stream().mapToInt(Traffic::resumed).sum();
  }

  @Test
  void started_while_the_database_is_away_it_waits_and_says_so() throws Exception {
    try (ServerProcess server = new ServerProcess()) {
      server.database().stop();
      server.launch();
      long patience = System.nanoTime() + 240_000_000_000L;
      while (!server.log().contains("The database is away. Waiting for it")) {
        assertThat(System.nanoTime()).as(server.log()).isLessThan(patience);
        Thread.sleep(100);
      }
      assertThat(server.answers()).isFalse();
      server.database().start();
      server.awaitReady();
      Client.signedIn(server.address(), "ines").close();
    }
  }

  private static void checkDatabase(TestDatabase database, List<Traffic> all) throws SQLException {
    try (Connection connection =
        DriverManager.getConnection(
            "jdbc:mariadb://127.0.0.1:" + database.port() + "/oficina", "oficina", "")) {
      assertThat(number(connection, "select count(*) - max(seq) from journal"))
          .as("events without a gap")
          .isZero();
      assertThat(
              number(
                  connection,
                  "select count(*) from open_subject where subject not like 'device %'"))
          .as("calls left")
          .isZero();
      for (Traffic traffic : all) {
        for (String call : traffic.ended) {
          assertThat(
                  number(connection, "select count(*) from history where call_id = '" + call + "'"))
              .as("one entry for each of the two: %s", call)
              .isEqualTo(2);
        }
      }
    }
  }

  private static long number(Connection connection, String sql) throws SQLException {
    try (ResultSet result = connection.createStatement().executeQuery(sql)) {
      result.next();
      return result.getLong(1);
    }
  }
}
