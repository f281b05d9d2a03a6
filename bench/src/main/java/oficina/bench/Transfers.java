package oficina.bench;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicLong;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.commands.SendCommand;
import oficina.core.decision.Decision;
import oficina.core.decision.Refusal;
import oficina.core.numbers.Dialled;
import oficina.core.people.PersonId;
import oficina.server.TestServer;
import oficina.server.exchange.ExchangeLoop;

/**
 * Whole announced transfers - call, answer, hold, consult, answer, hand over, end - in durable
 * services a second, and how fast the same rows go into the same database with nothing else to do.
 */
final class Transfers {
  private static final int TRIPLES = 500;
  private static final int SECONDS = 10;

  /** A server runs all day: what is measured is not how long its code takes to be compiled. */
  private static final int WARM_UP_SECONDS = 20;

  private static final int BATCH = 1_000;
  private static final DeviceId DEVICE = new DeviceId("bench");

  private final ExchangeLoop loop;
  private final AtomicLong services = new AtomicLong();
  private volatile boolean over;

  private Transfers(ExchangeLoop loop) {
    this.loop = loop;
  }

  /** Runs both on this server and prints them. */
  static void measure(TestServer server) throws SQLException {
    BenchOffice.addPeople(server.database(), 3 * TRIPLES);
    server.restart();
    try (Connection database = BenchOffice.open(server.database())) {
      new Transfers(server.bean(ExchangeLoop.class)).run(WARM_UP_SECONDS);
      long from = last(database);
      double rate = new Transfers(server.bean(ExchangeLoop.class)).run(SECONDS);
      double raw = raw(database, from) * rate * SECONDS;
      Main.row("announced transfers, durable services", "%,.0f services/s", rate);
      Main.row("the same rows inserted and nothing else", "%,.0f services/s", raw);
      Main.row("share of that (aim 50 %)", "%.0f %%", 100 * rate / raw);
    }
  }

  private double run(int seconds) {
    List<CompletableFuture<Void>> all = new ArrayList<>();
    long started = System.nanoTime();
    for (int i = 0; i < TRIPLES; i++) {
      all.add(transfers(i));
    }
    try {
      Thread.sleep(seconds * 1000L);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    double rate = services.get() / ((System.nanoTime() - started) / 1e9);
    over = true;
    CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).join();
    return rate;
  }

  /** One transfer after the other by the same three people. */
  private CompletableFuture<Void> transfers(int triple) {
    if (over) {
      return CompletableFuture.completedFuture(null);
    }
    PersonId caller = person(3 * triple);
    PersonId sender = person(3 * triple + 1);
    PersonId target = person(3 * triple + 2);
    CallId call = new CallId("b" + System.nanoTime() + "-" + triple);
    CallId consult = new CallId(call.value() + "c");
    return run(new CallCommand.MakeCall(call, caller, DEVICE, to(sender), null))
        .thenCompose(x -> run(new CallCommand.Answer(call, sender, DEVICE)))
        .thenCompose(x -> run(new CallCommand.Hold(call, sender)))
        .thenCompose(
            x -> run(new SendCommand.Announce(call, sender, consult, DEVICE, to(target), null)))
        .thenCompose(x -> run(new CallCommand.Answer(consult, target, DEVICE)))
        .thenCompose(x -> run(new SendCommand.HandOver(call, sender, consult)))
        .thenCompose(x -> run(new CallCommand.Clear(call, target)))
        .thenComposeAsync(x -> transfers(triple));
  }

  private CompletableFuture<Decision> run(Command command) {
    return loop.submit(command)
        .thenApply(
            decision -> {
              if (decision instanceof Refusal refusal) {
                throw new IllegalStateException(command + " " + refusal);
              }
              services.incrementAndGet();
              return decision;
            });
  }

  private static PersonId person(int number) {
    return new PersonId(100_000L + number);
  }

  private static Dialled to(PersonId person) {
    return new Dialled.Internal(
        Long.toString(BenchOffice.FIRST_EXTENSION + person.value() - 100_000));
  }

  private static long last(Connection database) throws SQLException {
    try (ResultSet row = database.createStatement().executeQuery("select max(seq) from journal")) {
      row.next();
      return row.getLong(1);
    }
  }

  /** How many times a second everything written since then could be inserted once more. */
  private static double raw(Connection database, long from) throws SQLException {
    String calls = "call_id in (select subject from journal where seq > " + from + ")";
    long nanos =
        copy(database, "journal", "seq > " + from)
            + copy(database, "call_course", calls)
            + copy(database, "history", calls);
    return 1e9 / nanos;
  }

  private static long copy(Connection database, String table, String which) throws SQLException {
    List<Object[]> rows = new ArrayList<>();
    int columns;
    try (ResultSet all =
        database.createStatement().executeQuery("select * from " + table + " where " + which)) {
      columns = all.getMetaData().getColumnCount();
      while (all.next()) {
        Object[] row = new Object[columns];
        for (int i = 0; i < columns; i++) {
          row[i] = all.getObject(i + 1);
        }
        rows.add(row);
      }
    }
    database.createStatement().execute("create table raw_" + table + " like " + table);
    String marks = "?" + ", ?".repeat(columns - 1);
    database.setAutoCommit(false);
    long started = System.nanoTime();
    try (PreparedStatement insert =
        database.prepareStatement("insert into raw_" + table + " values (" + marks + ")")) {
      for (int i = 0; i < rows.size(); i++) {
        for (int column = 0; column < columns; column++) {
          insert.setObject(column + 1, rows.get(i)[column]);
        }
        insert.addBatch();
        if ((i + 1) % BATCH == 0 || i + 1 == rows.size()) {
          insert.executeBatch();
          database.commit();
        }
      }
    }
    long took = System.nanoTime() - started;
    database.setAutoCommit(true);
    database.createStatement().execute("drop table raw_" + table);
    return took;
  }
}
