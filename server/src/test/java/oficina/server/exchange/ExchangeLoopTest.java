package oficina.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.CallCommand;
import oficina.core.commands.Command;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.events.ReachEvent;
import oficina.core.numbers.Dialled;
import oficina.core.numbers.Region;
import oficina.core.office.Directions;
import oficina.core.office.Former;
import oficina.core.office.Office;
import oficina.core.office.Settings;
import oficina.core.people.CallerIdChoice;
import oficina.core.people.Directory;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.people.RecordingChoice;
import oficina.core.queueing.Lately;
import oficina.server.desk.DeskFeed;
import oficina.server.desk.DeskViews;
import oficina.server.journal.JournalStore;
import oficina.server.journal.JournalWriter;
import oficina.server.journal.WaitingFile;
import oficina.server.office.OfficeData;
import oficina.server.time.MovableClock;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What the loop does with events: journal first, then everything else, each on its own. */
class ExchangeLoopTest {
  private static final PersonId INES = new PersonId(1);
  private static final DeviceId WINDOW = new DeviceId("w");

  private final JournalStore store = mock(JournalStore.class);
  private final JournalWriter writer = new JournalWriter(store, new WaitingFile(""));
  private final OfficeData office = mock(OfficeData.class);
  private final DeskViews views = mock(DeskViews.class);
  private final DeskFeed feed = mock(DeskFeed.class);
  private final BlockingQueue<ExchangeEvent> told = new LinkedBlockingQueue<>();
  private ExchangeLoop loop;
  private int calls;

  @BeforeEach
  void start() {
    Person ines =
        new Person(
            INES,
            "Ines",
            "201",
            null,
            new Person.Place("Front desk", "", "", null),
            new Person.Calls(
                Duration.ofSeconds(20),
                true,
                CallerIdChoice.DIRECT,
                false,
                RecordingChoice.ON_DEMAND,
                /* outsidePhone= */ null));
    when(office.now())
        .thenReturn(
            new Office(
                new Office.Identity("", null, ZoneOffset.UTC, new Region("GB"), ""),
                new Directory(List.of(ines), List.of()),
                Settings.DEFAULT,
                Former.NONE,
                Directions.none(ZoneOffset.UTC)));
    when(store.lately(any())).thenReturn(new Lately(List.of(), List.of()));
    loop = new ExchangeLoop(new MovableClock(), store, writer, office, views, feed);
  }

  private void listen(ExchangeListener listener) {
    loop.listen(listener);
    loop.start();
  }

  private ExchangeListener noting() {
    return new ExchangeListener() {
      @Override
      public Turn turn() {
        return Turn.NOTES;
      }

      @Override
      public void happened(Told happened) {
        told.add(happened.event());
      }
    };
  }

  @AfterEach
  void stop() {
    loop.stop();
  }

  private CompletableFuture<Decision> call() {
    return loop.submit(
        new CallCommand.MakeCall(
            new CallId("c" + ++calls), INES, WINDOW, new Dialled.Emergency("999"), null));
  }

  @Test
  void outside_equipment_is_told_only_when_the_events_are_durable() throws Exception {
    CountDownLatch writing = new CountDownLatch(1);
    doAnswer(call -> writing.await(30, TimeUnit.SECONDS)).when(store).append(any(), any(), any());
    listen(noting());
    CompletableFuture<Decision> answer = call();
    assertThat(told.poll(200, TimeUnit.MILLISECONDS)).isNull();
    assertThat(answer).isNotDone();
    writing.countDown();
    assertThat(told.poll(30, TimeUnit.SECONDS)).isInstanceOf(ReachEvent.Originated.class);
    assertThat(answer.get(30, TimeUnit.SECONDS)).isInstanceOf(Decision.Accepted.class);
  }

  @Test
  void a_command_is_answered_although_something_that_was_due_before_it_failed() throws Exception {
    loop.start();
    loop.post(
        () ->
            loop.later(
                Duration.ZERO,
                () -> {
                  throw new IllegalStateException("something due that fails, on purpose");
                }));
    assertThat(call().get(30, TimeUnit.SECONDS)).isInstanceOf(Decision.Accepted.class);
  }

  @Test
  void what_fails_in_a_view_or_a_listener_loses_no_event_and_silences_nobody() throws Exception {
    listen(
        new ExchangeListener() {
          @Override
          public Turn turn() {
            return Turn.LINES;
          }

          @Override
          public void happened(Told happened) {
            throw new IllegalStateException("a listener that fails, on purpose");
          }
        });
    loop.listen(noting());
    when(views.of(any(), any(), any(), any()))
        .thenThrow(new IllegalStateException("a view that fails, on purpose"));
    assertThat(call().get(30, TimeUnit.SECONDS)).isInstanceOf(Decision.Accepted.class);
    assertThat(told.poll(30, TimeUnit.SECONDS)).isInstanceOf(ReachEvent.Originated.class);
    doThrow(new IllegalStateException("a page that fails, on purpose")).when(feed).publish(any());
    Command clear = new CallCommand.Clear(new CallId("c1"), INES);
    assertThat(loop.submit(clear).get(30, TimeUnit.SECONDS)).isInstanceOf(Decision.Accepted.class);
  }
}
