package oficina.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.exchange.ExchangeEvent.CallCleared;
import oficina.core.history.Part;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.mockito.Captor;
import org.mockito.MockitoAnnotations;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;

/** What the writer does when the database goes away and comes back. */
class JournalWriterTest {
  private final JournalStore store = mock(JournalStore.class);
  private final DeskFeed feed = mock(DeskFeed.class);
  private final AtomicBoolean behind = new AtomicBoolean();
  private final JournalWriter writer = new JournalWriter(store, feed);
  @Captor private ArgumentCaptor<List<JournalStore.Entry>> written;

  @BeforeEach
  void begin() {
    MockitoAnnotations.openMocks(this);
    when(feed.behind()).thenAnswer(call -> behind.get());
    doAnswer(
            call -> {
              behind.set(call.getArgument(0));
              return null;
            })
        .when(feed)
        .behind(anyBoolean());
    writer.start();
  }

  @AfterEach
  void end() {
    writer.stop();
  }

  private CountDownLatch add(long seq) {
    CountDownLatch confirmed = new CountDownLatch(1);
    CallCleared event = new CallCleared(new CallId("c" + seq), Instant.EPOCH, Cause.NORMAL);
    writer.add(
        new Batch(
            List.of(new JournalStore.Entry(seq, event)),
            List.of(),
            List.of(),
            null,
            List.of(),
            confirmed::countDown));
    return confirmed;
  }

  @Test
  void a_command_is_confirmed_only_when_its_events_are_written() throws Exception {
    CountDownLatch writing = new CountDownLatch(1);
    doAnswer(call -> writing.await(5, TimeUnit.SECONDS)).when(store).append(any(), any());
    CountDownLatch confirmed = add(1);
    assertThat(confirmed.await(100, TimeUnit.MILLISECONDS)).isFalse();
    writing.countDown();
    assertThat(confirmed.await(30, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void without_the_database_calls_go_on_and_later_everything_is_written_in_order()
      throws Exception {
    doThrow(new DataAccessResourceFailureException("away")).when(store).append(any(), any());
    assertThat(add(1).await(30, TimeUnit.SECONDS)).isTrue();
    assertThat(add(2).await(30, TimeUnit.SECONDS)).isTrue();
    verify(feed, timeout(30_000)).behind(true);

    doAnswer(call -> null).when(store).append(any(), any());
    verify(feed, timeout(30_000)).behind(false);
    verify(store, timeout(30_000).atLeast(2)).append(written.capture(), any());
    assertThat(written.getValue()).extracting(JournalStore.Entry::seq).containsExactly(1L, 2L);
  }

  @Test
  void an_entry_that_the_database_refuses_keeps_no_event_back() throws Exception {
    doThrow(new DataIntegrityViolationException("too long"))
        .when(store)
        .append(any(), argThat(parts -> !parts.isEmpty()));
    CountDownLatch confirmed = new CountDownLatch(1);
    CallCleared event = new CallCleared(new CallId("c1"), Instant.EPOCH, Cause.NORMAL);
    writer.add(
        new Batch(
            List.of(new JournalStore.Entry(1, event)),
            List.of(mock(Part.class)),
            List.of(),
            null,
            List.of(),
            confirmed::countDown));
    assertThat(confirmed.await(30, TimeUnit.SECONDS)).isTrue();
    verify(store).append(List.of(new JournalStore.Entry(1, event)), List.of());
    verify(feed, never()).behind(true);
  }
}
