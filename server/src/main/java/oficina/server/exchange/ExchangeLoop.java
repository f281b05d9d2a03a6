package oficina.server.exchange;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import oficina.core.call.CallId;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.decision.Decision;
import oficina.core.events.ExchangeEvent;
import oficina.core.exchange.Exchange;
import oficina.core.exchange.TryIt;
import oficina.core.figures.Fact;
import oficina.core.figures.Facts;
import oficina.core.history.CallRecords;
import oficina.core.history.Segment;
import oficina.core.office.Office;
import oficina.core.people.Person;
import oficina.core.people.PersonId;
import oficina.core.queueing.Lately;
import oficina.core.state.Call;
import oficina.core.state.ExchangeState;
import oficina.server.desk.DeskFeed;
import oficina.server.desk.DeskViews;
import oficina.server.journal.Batch;
import oficina.server.journal.JournalStore;
import oficina.server.journal.JournalWriter;
import oficina.server.office.OfficeData;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
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

  /** Something to be done once everything is done that was due before it was asked for. */
  private record Posted(Instant at, Runnable action) {}

  private final MovableClock clock;
  private final JournalStore journal;
  private final JournalWriter writer;
  private final Exchange exchange;
  private final OfficeData office;
  private final CallRecords records = new CallRecords();
  private final Facts facts = new Facts();
  private final Deriving deriving;
  private final DeskFeed feed;
  private final RuleEnds ruleEnds = new RuleEnds(this, this::ruleEnded);
  private final List<ExchangeListener> listeners = new ArrayList<>();

  private final BlockingQueue<Posted> inbox = new LinkedBlockingQueue<>();
  private final PriorityQueue<Later> agenda =
      new PriorityQueue<>(Comparator.comparing(Later::at).thenComparing(Later::order));
  private long order;
  private Instant now = Instant.MIN;
  private long seq;

  private volatile @Nullable Thread thread;

  ExchangeLoop(
      MovableClock clock,
      JournalStore journal,
      JournalWriter writer,
      OfficeData office,
      DeskViews views,
      DeskFeed feed) {
    this.clock = clock;
    this.journal = journal;
    this.writer = writer;
    this.office = office;
    this.feed = feed;
    this.exchange = new Exchange(office.now());
    this.deriving = new Deriving(exchange, records, facts, views, feed);
    clock.onMove(() -> post(() -> {}));
    office.onChange((before, after) -> post(() -> changed(before, after)));
  }

  /** People have come or gone, or something is set otherwise: every desk is drawn anew. */
  private void changed(Office before, Office after) {
    exchange.office(after);
    for (Person person : before.directory().people()) {
      if (after.directory().person(person.id()).isEmpty()) {
        run(new OfficeCommand.Leave(person.id()));
        writer.add(Batch.onlyShown(() -> feed.forget(person.id())));
      }
    }
    run(new OfficeCommand.Tick()); // whoever waits goes by what is decided now
    showEverything();
    ruleEnds.await();
  }

  private void ruleEnded() {
    showEverything();
    listeners.forEach(each -> Deriving.guarded("tell of a rule's end at", now, each::ruleEnded));
  }

  private void showEverything() {
    writer.add(Batch.onlyShown(deriving.everything()));
  }

  /** Must be called before the loop starts. Who is told when, {@link Turn} says. */
  public void listen(ExchangeListener listener) {
    listeners.add(listener);
    listeners.sort(Comparator.comparing(ExchangeListener::turn));
  }

  /**
   * Has a command carried out.
   *
   * @return completed when its events are durable, or with the refusal
   */
  public CompletableFuture<Decision> submit(Command command) {
    return submit(command, null);
  }

  /**
   * Has a command carried out.
   *
   * @param submission kept with what it leads to, see {@link Batch.Entry}
   * @return completed when its events are durable, or with the refusal
   */
  public CompletableFuture<Decision> submit(Command command, @Nullable String submission) {
    CompletableFuture<Decision> answer = new CompletableFuture<>();
    post(() -> carryOut(command, submission, answer));
    return answer;
  }

  /** Has something done on the exchange's thread, between two commands. */
  public <T> CompletableFuture<T> ask(Supplier<T> question) {
    CompletableFuture<T> answer = new CompletableFuture<>();
    post(
        () -> {
          try {
            answer.complete(question.get());
          } catch (RuntimeException e) {
            answer.completeExceptionally(e);
          }
        });
    return answer;
  }

  /**
   * Completed once everything that has happened so far is durable and everybody has been told. Only
   * from the exchange's thread.
   */
  public CompletableFuture<Void> settled() {
    CompletableFuture<Void> settled = new CompletableFuture<>();
    writer.add(Batch.nothing(() -> post(() -> settled.complete(null))));
    return settled;
  }

  /** Has something done on the exchange's thread, nobody waiting for it. */
  public void post(Runnable action) {
    inbox.add(new Posted(clock.instant(), action));
  }

  /** Has calls shown anew, when what they are drawn from has changed outside the exchange. */
  public void redraw() {
    post(() -> writer.add(Batch.onlyShown(deriving.calls())));
  }

  /** Has something done on the exchange's thread after a delay. Only from that thread. */
  public void later(Duration delay, Runnable action) {
    agenda.add(new Later(now.plus(delay), ++order, action));
  }

  /** Has a command carried out at once, nobody waiting for the answer. Only from its thread. */
  public void run(Command command) {
    carryOut(command, null, new CompletableFuture<>());
  }

  /** The time at the exchange. Only from its thread. */
  public Instant now() {
    return now;
  }

  /** For whoever asks it much and changes nothing. To be asked only from its thread. */
  public Exchange exchange() {
    return exchange;
  }

  /** How things are at the exchange. Only from its thread, and not to be kept. */
  public ExchangeState state() {
    return exchange.state();
  }

  /** What would become of a call that nobody places. Only from the exchange's thread. */
  public TryIt.Trial tryIt(
      Command command, Instant when, TryIt.Given given, @Nullable PersonId whom) {
    return new TryIt(exchange).run(command, when, given, whom);
  }

  /**
   * The course of a call so far. Only from its thread.
   *
   * @return null when no such call is in progress or this person has no part in it
   */
  public @Nullable List<Segment> course(CallId id, PersonId person) {
    Call call = exchange.state().call(id);
    return call == null || !call.employees().contains(person) ? null : records.of(id).course();
  }

  @Override
  public void start() {
    seq = journal.lastSeq();
    exchange.begin(journal.lately(clock.instant().minus(Lately.REACH)));
    journal.unended().forEach(this::takeUp);
    facts.takeUp(exchange.state());
    writer.left(seq).forEach(this::takeUpUnwritten);
    deriving.everything().run();
    moveTo(clock.instant());
    writer.start();
    post(ruleEnds::await);
    post(
        () ->
            listeners.forEach(
                each -> Deriving.guarded("take up", now, () -> each.takenUp(exchange.state()))));
    Thread loop = new Thread(this::loop, "exchange");
    thread = loop;
    loop.start();
    if (!exchange.state().calls().isEmpty()) {
      LOG.info("Taken up again: {} calls", exchange.state().calls().size());
    }
  }

  /** What an earlier run had to leave unwritten leads to the same history now. */
  private void takeUpUnwritten(Batch.Entry entry) {
    List<Fact> counted = facts.follow(entry.event(), exchange.state());
    CallRecords.Entries entries = takeUp(entry.event());
    seq = entry.seq();
    Batch.Derived derived =
        new Batch.Derived(entries == null ? List.of() : List.of(entries), counted, () -> {});
    writer.add(new Batch(List.of(entry), CompletableFuture.completedFuture(derived), () -> {}));
  }

  /** An event that can no longer be applied is told, and keeps no other call from going on. */
  private CallRecords.@Nullable Entries takeUp(ExchangeEvent event) {
    now = event.at();
    try {
      exchange.apply(event);
      return records.follow(event, exchange.state()::call);
    } catch (RuntimeException e) {
      LOG.error("The exchange could not take up {}", event, e);
      return null;
    }
  }

  private void loop() {
    while (thread == Thread.currentThread()) {
      try {
        Posted next = inbox.poll(untilNext(), TimeUnit.MILLISECONDS);
        Instant until = next == null ? clock.instant() : next.at();
        Deriving.guarded("do what is due by", until, () -> catchUp(until));
        if (next != null) {
          Deriving.guarded("do what was asked for at", next.at(), next.action());
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
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

  /** Does everything that is due by then, each thing at its own time. */
  private void catchUp(Instant present) {
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
        run(new OfficeCommand.Tick());
      }
    }
    moveTo(present);
  }

  private void moveTo(Instant time) {
    if (time.isAfter(now)) {
      now = time;
    }
  }

  private void carryOut(
      Command command, @Nullable String submission, CompletableFuture<Decision> answer) {
    Decision decision;
    try {
      decision = exchange.decide(command, now);
    } catch (RuntimeException e) {
      answer.completeExceptionally(e);
      throw e;
    }
    if (decision instanceof Decision.Accepted accepted && !accepted.events().isEmpty()) {
      happen(accepted, submission, answer);
    } else {
      answer.complete(decision);
    }
    if (decision instanceof Decision.Accepted accepted && accepted.passedOn() != null) {
      passOn(accepted.passedOn());
    }
  }

  private void passOn(Decision.PassedOn keys) {
    listeners.forEach(
        each ->
            Deriving.guarded(
                "pass keys on in", keys.call(), () -> each.pressed(keys.call(), keys.keys())));
  }

  /** Queued for the journal first: whatever goes wrong afterwards, the events are kept. */
  private void happen(
      Decision.Accepted accepted, @Nullable String submission, CompletableFuture<Decision> answer) {
    List<Batch.Entry> entries = new ArrayList<>(accepted.events().size());
    for (ExchangeEvent event : accepted.events()) {
      entries.add(new Batch.Entry(++seq, event, entries.isEmpty() ? submission : null));
    }
    List<Told> told = new ArrayList<>();
    CompletableFuture<Batch.Derived> derived = new CompletableFuture<>();
    Runnable written =
        () -> {
          answer.complete(accepted);
          post(() -> told.forEach(this::tell));
        };
    writer.add(new Batch(entries, derived, written));
    try {
      derived.complete(deriving.from(accepted.events(), this::applied, told));
    } finally {
      derived.complete(Batch.Derived.shown(() -> {})); // nothing more, if it has failed
    }
  }

  private void applied(ExchangeEvent event) {
    listeners.forEach(each -> Deriving.guarded("follow", event, () -> each.applied(event)));
  }

  private void tell(Told told) {
    listeners.forEach(each -> Deriving.guarded("tell of", told.event(), () -> each.happened(told)));
  }

  @Override
  public void stop() {
    Thread loop = thread;
    thread = null;
    post(() -> {});
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
