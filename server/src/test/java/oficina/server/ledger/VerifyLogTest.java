package oficina.server.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import oficina.core.ledger.Entry;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
import oficina.server.TestDatabase;
import oficina.server.TestServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whether a log that was tampered with beside the server shows. */
@ExtendWith(TestServer.class)
class VerifyLogTest {
  private final JdbcClient jdbc = TestServer.get().bean(JdbcClient.class);
  private final OfficeLog log = TestServer.get().bean(OfficeLog.class);

  private static String verify() {
    return verify(TestServer.get().bean(OfficeLogStore.class));
  }

  private static String verify(OfficeLogStore store) {
    ByteArrayOutputStream said = new ByteArrayOutputStream();
    boolean whole = VerifyLog.verify(store, new PrintStream(said, true));
    return whole + " " + said;
  }

  @Test
  void many_who_write_at_once_leave_one_chain_and_what_is_changed_in_it_shows() {
    List<Throwable> failed = Collections.synchronizedList(new ArrayList<>());
    List<Thread> writers =
        IntStream.range(0, 6)
            .mapToObj(
                writer ->
                    new Thread(
                        () -> {
                          for (int i = 0; i < 20; i++) {
                            log.write(Deed.of(Kind.SAVED, "file " + writer + "." + i));
                          }
                        }))
            .toList();
    writers.forEach(each -> each.setUncaughtExceptionHandler((thread, e) -> failed.add(e)));
    writers.forEach(Thread::start);
    writers.forEach(VerifyLogTest::join);
    assertThat(failed).isEmpty();
    assertThat(verify()).startsWith("true All ");

    String about =
        jdbc.sql("select about from office_log where id = 5").query(String.class).single();
    forge("nobody");
    assertThat(verify()).startsWith("false Line 5 of ");
    forge(about);
    assertThat(verify()).startsWith("true");
  }

  @Test
  void lines_go_when_they_were_kept_long_enough_and_not_before_and_the_rest_is_still_verified() {
    try (TestDatabase database = new TestDatabase()) {
      String url = "jdbc:mariadb://127.0.0.1:" + database.port() + "/oficina?timezone=UTC";
      OfficeLogStore store = OfficeLogStore.of(url, "oficina", "");
      written(store, 40, "one", "two", "three");
      written(store, 2, "four", "five");
      Instant before = Instant.now().minus(Duration.ofDays(30));

      assertThat(store.count(before)).isEqualTo(3);
      assertThatThrownBy(() -> store.end(before)).hasMessageContaining("cannot be changed");
      database.set("log-kept-days", "30");
      store.end(before);
      assertThatThrownBy(() -> store.end(Instant.now())).hasMessageContaining("cannot be changed");
      written(store, 0, "six");
      assertThat(verify(store)).startsWith("true").contains("Lines up to 3 are gone", "All 3 ");
    }
  }

  private static void written(OfficeLogStore store, int daysAgo, String... about) {
    Instant at = Instant.now().minus(Duration.ofDays(daysAgo)).truncatedTo(ChronoUnit.MICROS);
    store.append(
        (number, deed) -> new Entry(number, at, null, "Una", "127.0.0.1", deed),
        Stream.of(about).map(each -> Deed.of(Kind.SAVED, each)).toList());
  }

  /** As whoever has the database in their hands may: first what refuses it is taken away. */
  private void forge(String about) {
    jdbc.sql("drop trigger office_log_stays").update();
    jdbc.sql("update office_log set about = ? where id = 5").param(about).update();
    jdbc.sql(
            """
            create trigger office_log_stays before update on office_log for each row
              signal sqlstate '45000' set message_text = 'the log of the office cannot be changed'
            """)
        .update();
  }

  private static void join(Thread thread) {
    try {
      thread.join();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
