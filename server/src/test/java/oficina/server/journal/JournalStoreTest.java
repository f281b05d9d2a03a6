package oficina.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import oficina.core.call.DeviceId;
import oficina.core.call.DeviceKind;
import oficina.core.events.DeviceEvent;
import oficina.core.events.ExchangeEvent;
import oficina.core.people.PersonId;
import oficina.server.TestServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataIntegrityViolationException;

/** The journal in a real database, far beyond the places that the running exchange uses. */
@ExtendWith(TestServer.class)
class JournalStoreTest {
  private static final PersonId NOBODY = new PersonId(987_654);
  private static final DeviceId WINDOW = new DeviceId("w");
  private static final Instant AT = Instant.parse("2026-06-15T08:00:00Z");
  private static final ExchangeEvent CAME =
      new DeviceEvent.DeviceCame(NOBODY, WINDOW, AT, DeviceKind.WINDOW, true);
  private static final ExchangeEvent WENT = new DeviceEvent.DeviceWent(NOBODY, WINDOW, AT);

  private final JournalStore store = TestServer.get().bean(JournalStore.class);
  private long seq = 1_000_000_000_000L;

  private void append(ExchangeEvent... events) {
    List<Batch.Entry> entries = new ArrayList<>();
    for (ExchangeEvent event : events) {
      entries.add(new Batch.Entry(++seq, event));
    }
    store.append(entries, List.of(), List.of());
  }

  /** The running exchange goes on where the journal ends. */
  @AfterEach
  void takeAway() throws SQLException {
    try (Connection database =
        DriverManager.getConnection(
            "jdbc:mariadb://127.0.0.1:" + TestServer.get().database().port() + "/oficina",
            "oficina",
            "")) {
      database.createStatement().execute("delete from journal where seq > 1000000000000");
    }
  }

  @Test
  void what_goes_and_comes_within_one_write_is_replayed_from_its_last_coming_on() {
    append(CAME, WENT, CAME);
    append(WENT, CAME);
    assertThat(store.unended().stream().filter(event -> event.subject().equals(CAME.subject())))
        .containsExactly(CAME);
    assertThatThrownBy(
            () -> store.append(List.of(new Batch.Entry(seq, WENT)), List.of(), List.of()))
        .as("another event in the same place is no repetition")
        .isInstanceOf(DataIntegrityViolationException.class);
    append(CAME, WENT);
    assertThat(store.unended()).noneMatch(event -> event.subject().equals(CAME.subject()));
  }
}
