package oficina.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.events.TalkEvent.CallCleared;
import oficina.core.history.CallRecords;
import oficina.server.journal.Batch.Derived;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.mockito.Captor;
import org.mockito.MockitoAnnotations;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.UncategorizedSQLException;

/** What the writer does when the database goes away, comes back, or refuses something. */
class JournalWriterTest {
  private static final CallRecords.Entries ENTRIES =
      new CallRecords.Entries(new CallId("c1"), List.of(), List.of());

  private final JournalStore store = mock(JournalStore.class);
  private final JournalWriter writer = new JournalWriter(store, new WaitingFile(""));
  private final BlockingQueue<JournalState> states = new LinkedBlockingQueue<>();

  /** Set instead of stubbing anew, which the writer's thread would come between. */
  private final AtomicBoolean away = new AtomicBoolean();

  private final AtomicBoolean full = new AtomicBoolean();

  private final AtomicBoolean isThereAlready = new AtomicBoolean();

  @Captor private ArgumentCaptor<List<Batch.Entry>> written;

  @BeforeEach
  void begin() {
    MockitoAnnotations.openMocks(this);
    doAnswer(
            call -> {
              if (full.get()) {
                throw new UncategorizedSQLException(
                    "insert", "", new SQLException("the table is full", "HY000", 1114));
              }
              if (away.get()) {
                throw new DataAccessResourceFailureException("away");
              }
              if (isThereAlready.get()) {
                throw new DataIntegrityViolationException("duplicate");
              }
              return null;
            })
        .when(store)
        .append(any(), any(), any());
    writer.onChange(states::add);
    writer.start();
  }

  @AfterEach
  void end() {
    writer.stop();
  }

  private static Batch.Entry entry(long seq) {
    return new Batch.Entry(
        seq, new CallCleared(new CallId("c" + seq), Instant.EPOCH, Cause.NORMAL));
  }

  private CountDownLatch add(long seq) {
    return add(seq, Derived.shown(() -> {}));
  }

  private CountDownLatch add(long seq, Derived derived) {
    CountDownLatch confirmed = new CountDownLatch(1);
    writer.add(
        new Batch(
            List.of(entry(seq)), CompletableFuture.completedFuture(derived), confirmed::countDown));
    return confirmed;
  }

  private static boolean happens(CountDownLatch latch) throws InterruptedException {
    return latch.await(30, TimeUnit.SECONDS);
  }

  private JournalState next() throws InterruptedException {
    return states.poll(30, TimeUnit.SECONDS);
  }

  @Test
  void a_command_is_confirmed_only_when_its_events_are_written() throws Exception {
    CountDownLatch writing = new CountDownLatch(1);
    doAnswer(call -> writing.await(5, TimeUnit.SECONDS)).when(store).append(any(), any(), any());
    CountDownLatch confirmed = add(1);
    assertThat(confirmed.await(100, TimeUnit.MILLISECONDS)).isFalse();
    writing.countDown();
    assertThat(happens(confirmed)).isTrue();
  }

  @Test
  void without_the_database_calls_go_on_and_later_everything_is_written_in_order()
      throws Exception {
    away.set(true);
    assertThat(happens(add(1))).isTrue();
    assertThat(happens(add(2))).isTrue();
    assertThat(next()).isEqualTo(new JournalState(true, 0));

    away.set(false);
    assertThat(next()).isEqualTo(new JournalState(false, 0));
    verify(store, timeout(30_000).atLeast(2)).append(written.capture(), any(), any());
    assertThat(written.getValue()).containsExactly(entry(1), entry(2));
  }

  @Test
  void a_full_disk_refuses_nothing_but_keeps_everything_waiting() throws Exception {
    full.set(true);
    assertThat(happens(add(1))).isTrue();
    assertThat(next()).isEqualTo(new JournalState(true, 0));
    full.set(false);
    assertThat(next()).isEqualTo(new JournalState(false, 0));
    verify(store, timeout(30_000).atLeast(2)).append(written.capture(), any(), any());
    assertThat(written.getValue()).containsExactly(entry(1));
  }

  @Test
  void a_write_that_was_carried_out_although_nobody_learnt_of_it_is_not_repeated()
      throws Exception {
    when(store.has(entry(1))).thenReturn(true);
    away.set(true);
    assertThat(happens(add(1))).isTrue();
    assertThat(happens(add(2))).isTrue();
    assertThat(next().behind()).isTrue();
    away.set(false);
    assertThat(next().behind()).isFalse();
    verify(store, timeout(30_000).atLeastOnce()).append(List.of(entry(2)), List.of(), List.of());
    verify(store, never()).append(List.of(entry(1), entry(2)), List.of(), List.of());
  }

  @Test
  void what_was_only_shown_does_not_hide_that_the_rest_was_written() throws Exception {
    when(store.has(entry(1))).thenReturn(true);
    when(store.has(entry(2))).thenReturn(false).thenReturn(true);
    away.set(true);
    assertThat(happens(add(1))).isTrue();
    assertThat(next().behind()).isTrue();
    writer.add(Batch.onlyShown(() -> {}));
    assertThat(happens(add(2))).isTrue();
    isThereAlready.set(true);
    away.set(false);
    assertThat(next()).as("nothing was refused").isEqualTo(new JournalState(false, 0));
  }

  @Test
  void a_write_that_is_carried_out_only_after_it_was_looked_for_is_no_refusal() throws Exception {
    when(store.has(entry(1))).thenReturn(false).thenReturn(true);
    away.set(true);
    assertThat(happens(add(1))).isTrue();
    assertThat(next().behind()).isTrue();
    isThereAlready.set(true);
    away.set(false);
    assertThat(next()).as("nothing was refused").isEqualTo(new JournalState(false, 0));
  }

  @Test
  void an_entry_of_the_history_that_the_database_refuses_keeps_no_event_back() throws Exception {
    doThrow(new DataIntegrityViolationException("too long"))
        .when(store)
        .append(any(), argThat(history -> !history.isEmpty()), any());
    assertThat(happens(add(1, new Derived(List.of(ENTRIES), List.of(), () -> {})))).isTrue();
    verify(store).append(List.of(entry(1)), List.of(), List.of());
    assertThat(next()).as("an error that is told").isEqualTo(new JournalState(false, 1));
  }

  @Test
  void an_event_that_the_database_refuses_is_told_and_keeps_no_other_back() throws Exception {
    doThrow(new DataIntegrityViolationException("duplicate"))
        .when(store)
        .append(argThat(entries -> entries.contains(entry(1))), any(), any());
    assertThat(happens(add(1))).isTrue();
    assertThat(happens(add(2))).isTrue();
    verify(store, timeout(30_000)).append(List.of(entry(2)), List.of(), List.of());
    assertThat(next()).as("and not a database that is away").isEqualTo(new JournalState(false, 1));
  }

  @Test
  void what_cannot_be_shown_silences_nobody() throws Exception {
    Runnable broken =
        () -> {
          throw new IllegalStateException("a view that fails, on purpose");
        };
    assertThat(happens(add(1, Derived.shown(broken)))).isTrue();
    CountDownLatch shown = new CountDownLatch(1);
    assertThat(happens(add(2, Derived.shown(shown::countDown)))).isTrue();
    assertThat(happens(shown)).isTrue();
  }
}
