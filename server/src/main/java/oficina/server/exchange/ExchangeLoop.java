package oficina.server.exchange;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import oficina.core.call.CallId;
import oficina.core.exchange.Call;
import oficina.core.exchange.CallBack;
import oficina.core.exchange.Command;
import oficina.core.exchange.Decision;
import oficina.core.exchange.Exchange;
import oficina.core.exchange.ExchangeEvent;
import oficina.core.history.CallRecords;
import oficina.core.history.Part;
import oficina.core.notices.Notice;
import oficina.core.notices.Notices;
import oficina.core.people.PersonId;
import oficina.core.routing.Office;
import oficina.server.office.OfficeData;
import oficina.server.people.Presence;
import oficina.server.time.MovableClock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Runs the exchange on one thread. Commands, timers and the doings of the stand-ins happen there
 * one after the other, in the order of their time; what they lead to is handed to the {@link
 * JournalWriter}, which confirms a command when its events are durable.
 */
@Component
public class ExchangeLoop implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(ExchangeLoop.class);

  private record Later(Instant at, long order, Runnable action) {}

  private final MovableClock clock;
  private final JournalStore journal;
  private final JournalWriter writer;
  private final Exchange exchange;
  private final CallRecords records = new CallRecords();
  private final DeskViews views;
  private final List<ExchangeListener> listeners = new ArrayList<>();

  private final BlockingQueue<Runnable> inbox = new LinkedBlockingQueue<>();
  private final PriorityQueue<Later> agenda =
      new PriorityQueue<>(Comparator.comparing(Later::at).thenComparing(Later::order));
  private long order;
  private Instant now = Instant.MIN;
  private long seq;
  private volatile Thread thread;

  ExchangeLoop(
      MovableClock clock,
      JournalStore journal,
      JournalWriter writer,
      OfficeData office,
      Presence presence,
      DeskViews views) {
    this.clock = clock;
    this.journal = journal;
    this.writer = writer;
    this.views = views;
    this.exchange =
        new Exchange(office.settings(), new Office(office.directory(), presence::reachable));
    clock.onMove(() -> inbox.add(() -> {}));
    office.onChange(
        () ->
            inbox.add(
                () ->
                    exchange.office(
                        office.settings(), new Office(office.directory(), presence::reachable))));
  }

  /** Must be called before the loop starts. */
  public void listen(ExchangeListener listener) {
    listeners.add(listener);
  }

  /**
   * Has a command carried out.
   *
   * @return completed when its events are durable, or with the refusal
   */
  public CompletableFuture<Decision> submit(Command command) {
    CompletableFuture<Decision> answer = new CompletableFuture<>();
    inbox.add(() -> carryOut(command, answer));
    return answer;
  }

  /** Has something done on the exchange's thread, between two commands. */
  public <T> CompletableFuture<T> ask(Supplier<T> question) {
    CompletableFuture<T> answer = new CompletableFuture<>();
    inbox.add(
        () -> {
          try {
            answer.complete(question.get());
          } catch (RuntimeException e) {
            answer.completeExceptionally(e);
          }
        });
    return answer;
  }

  /** Has something done on the exchange's thread after a delay. Only from that thread. */
  public void later(Duration delay, Runnable action) {
    agenda.add(new Later(now.plus(delay), ++order, action));
  }

  /** Has a command carried out at once, nobody waiting for the answer. Only from its thread. */
  public void run(Command command) {
    carryOut(command, new CompletableFuture<>());
  }

  /** The time at the exchange. Only from its thread. */
  public Instant now() {
    return now;
  }

  /** The call in progress, or null. Only from its thread. */
  public Call call(CallId id) {
    return exchange.state().call(id);
  }

  /** Has this person's lamp shown anew, their presence having changed. */
  public void presenceChanged(PersonId person) {
    inbox.add(
        () -> {
          writer.add(Batch.ofDesks(views.of(Set.of(person), exchange.state(), records), null));
          run(new Command.Tick()); // somebody may have waited for them
        });
  }

  @Override
  public void start() {
    seq = journal.lastSeq();
    Set<PersonId> inCalls = new LinkedHashSet<>();
    for (ExchangeEvent event : journal.unended()) {
      exchange.apply(event);
      Call after = exchange.state().call(event.call());
      records.follow(event, after);
      now = event.at();
      if (after != null) {
        inCalls.addAll(after.employees());
      }
    }
    views.start(exchange.state(), records);
    moveTo(clock.instant());
    exchange.state().calls().stream()
        .sorted(Comparator.comparing(Call::id))
        .forEach(call -> listeners.forEach(listener -> listener.takenUp(call)));
    writer.start();
    Thread loop = new Thread(this::loop, "exchange");
    thread = loop;
    loop.start();
    if (!inCalls.isEmpty()) {
      LOG.info("Taken up again: calls of {} people", inCalls.size());
    }
  }

  private void loop() {
    while (thread == Thread.currentThread()) {
      try {
        Runnable first = inbox.poll(untilNext(), TimeUnit.MILLISECONDS);
        catchUp();
        for (Runnable next = first; next != null; next = inbox.poll()) {
          next.run();
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      } catch (RuntimeException e) {
        LOG.error("The exchange could not do something", e);
      }
    }
  }

  private long untilNext() {
    Instant next = exchange.nextDue();
    if (!agenda.isEmpty() && (next == null || agenda.peek().at().isBefore(next))) {
      next = agenda.peek().at();
    }
    if (next == null) {
      return 60_000;
    }
    // One more millisecond than the whole ones left, so that it is due when the loop wakes.
    return Math.max(0, Math.min(60_000, Duration.between(clock.instant(), next).toMillis() + 1));
  }

  /** Does everything that is due by now, each thing at its own time. */
  private void catchUp() {
    Instant present = clock.instant();
    while (true) {
      Instant timer = exchange.nextDue();
      Later later = agenda.peek();
      boolean laterFirst = later != null && (timer == null || !later.at().isAfter(timer));
      Instant due = laterFirst ? later.at() : timer;
      if (due == null || due.isAfter(present)) {
        break;
      }
      moveTo(due);
      if (laterFirst) {
        agenda.poll().action().run();
      } else {
        run(new Command.Tick());
      }
    }
    moveTo(present);
  }

  private void moveTo(Instant time) {
    if (time.isAfter(now)) {
      now = time;
    }
  }

  private void carryOut(Command command, CompletableFuture<Decision> answer) {
    Decision decision;
    try {
      decision = exchange.decide(command, now);
    } catch (RuntimeException e) {
      answer.completeExceptionally(e);
      throw e;
    }
    if (decision instanceof Decision.Accepted accepted && !accepted.events().isEmpty()) {
      happen(accepted, answer);
    } else {
      answer.complete(decision);
    }
  }

  private void happen(Decision.Accepted accepted, CompletableFuture<Decision> answer) {
    List<JournalStore.Entry> entries = new ArrayList<>(accepted.events().size());
    List<Part> parts = new ArrayList<>();
    List<Told> told = new ArrayList<>();
    Set<PersonId> touched = new LinkedHashSet<>();
    List<Notice> notices = new ArrayList<>();
    boolean shelf = false;
    for (ExchangeEvent event : accepted.events()) {
      Call before = exchange.state().call(event.call());
      notices.addAll(Notices.of(event, exchange.state()));
      touched.addAll(wishers());
      exchange.apply(event);
      touched.addAll(wishers());
      Call after = exchange.state().call(event.call());
      parts.addAll(records.follow(event, after));
      entries.add(new JournalStore.Entry(++seq, event));
      told.add(new Told(event, after));
      for (Call each : Arrays.asList(before, after)) {
        if (each != null) {
          touched.addAll(each.employees());
          shelf |= each.parked() != null;
        }
      }
    }
    parts.forEach(part -> touched.add(part.person()));
    writer.add(
        new Batch(
            entries,
            parts,
            views.of(touched, exchange.state(), records),
            shelf ? views.shelf(exchange.state()) : null,
            notices,
            () -> answer.complete(accepted)));
    for (Told each : told) {
      listeners.forEach(listener -> listener.happened(each.event(), each.after()));
    }
  }

  /** Who waits for a colleague to become free; few at any time. */
  private List<PersonId> wishers() {
    return exchange.state().callBacks().stream().map(CallBack::by).toList();
  }

  private record Told(ExchangeEvent event, Call after) {}

  @Override
  public void stop() {
    Thread loop = thread;
    thread = null;
    inbox.add(() -> {});
    try {
      loop.join(5_000);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    writer.stop();
  }

  @Override
  public boolean isRunning() {
    return thread != null;
  }

  /** Before the web server takes its first request, and stopped after its last. */
  @Override
  public int getPhase() {
    return 0;
  }
}
