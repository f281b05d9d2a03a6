package oficina.server.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import oficina.core.ledger.Entry.Deed;
import oficina.core.ledger.Entry.Kind;
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
    ByteArrayOutputStream said = new ByteArrayOutputStream();
    boolean whole =
        VerifyLog.verify(TestServer.get().bean(OfficeLogStore.class), new PrintStream(said, true));
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
