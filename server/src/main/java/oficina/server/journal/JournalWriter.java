package oficina.server.journal;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import oficina.core.figures.Fact;
import oficina.core.history.CallRecords;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.NonTransientDataAccessException;
import org.springframework.dao.NonTransientDataAccessResourceException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Writes what happens at the exchange into the journal, and only then has it shown and confirmed.
 * Commands that wait together are written together. While the database is away calls go on: events
 * wait here in order, are shown and confirmed at once, and it is said that the history is catching
 * up. What the database refuses is an error and is told as one; it keeps nothing else back.
 */
@Component
public class JournalWriter {
  private static final Logger LOG = LoggerFactory.getLogger(JournalWriter.class);
  private static final long RETRY_MS = 500;

  /** How long a server that stops waits for a database that is away. */
  private static final Duration LAST_PATIENCE = Duration.ofSeconds(5);

  /** After a long time without the database not everything is written in one go. */
  private static final int AT_ONCE = 500;

  private final JournalStore journal;
  private final WaitingFile waiting;
  private final BlockingQueue<Batch> queue = new LinkedBlockingQueue<>();
  private final List<Batch> unwritten = new ArrayList<>();
  private final List<Consumer<JournalState>> listeners = new CopyOnWriteArrayList<>();
  private volatile JournalState state = new JournalState(false, 0);
  private volatile boolean running;

  /** How many of {@link #unwritten} were left after the last time it was tried. */
  private volatile int leftOver;

  private volatile long until;
  private Thread thread;

  /** Whether the database has answered since it was found away. */
  private volatile boolean answersAgain;

  /** Whether it is not known if the last write was carried out. */
  private boolean unsure;

  public JournalWriter(JournalStore journal, WaitingFile waiting) {
    this.journal = journal;
    this.waiting = waiting;
  }

  /**
   * Events that an earlier run of the server could not write; added again before the writer starts.
   *
   * @param after place of the last event that the journal has
   */
  public List<Batch.Entry> left(long after) {
    return waiting.read(after);
  }

  /** By which submissions the last events were asked for, those that wait included. */
  public List<String> submissions(int events) {
    List<String> all = new ArrayList<>(journal.submissions(events));
    for (Batch.Entry entry : left(journal.lastSeq())) {
      if (entry.submission() != null) {
        all.add(entry.submission());
      }
    }
    return all;
  }

  /** Has somebody told when the journal falls behind, catches up, or something is refused. */
  public void onChange(Consumer<JournalState> listener) {
    listeners.add(listener);
  }

  public JournalState state() {
    return state;
  }

  /** How many commands wait to be written; while the database is there none for long. */
  public int waiting() {
    return queue.size() + leftOver;
  }

  public void add(Batch batch) {
    queue.add(batch);
  }

  public void start() {
    running = true;
    waiting.reserve();
    thread = new Thread(this::loop, "journal");
    thread.start();
  }

  private void loop() {
    while (running || !queue.isEmpty() || !unwritten.isEmpty() && System.nanoTime() < until) {
      try {
        List<Batch> come = new ArrayList<>();
        Batch first = queue.poll(250, TimeUnit.MILLISECONDS);
        if (first != null) {
          come.add(first);
          queue.drainTo(come);
        }
        unwritten.addAll(come);
        if (state.behind()) {
          keep(come);
        }
        write();
        leftOver = unwritten.size();
        for (Batch batch : come) {
          guarded("show something", batch.derived().join().tell());
          guarded("confirm something", batch.written());
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      } catch (RuntimeException e) {
        LOG.error("The journal could not do something", e);
      }
    }
  }

  private static void guarded(String what, Runnable action) {
    try {
      action.run();
    } catch (RuntimeException e) {
      LOG.error("The journal could not {}", what, e);
    }
  }

  private void write() {
    boolean behind = state.behind();
    if (unwritten.isEmpty() && !behind || behind && !answersAgain) {
      return;
    }
    try {
      int commands = unwritten.size();
      writeAll();
      if (behind) {
        LOG.info("The journal has caught up with {} commands", commands);
        become(new JournalState(false, state.refused()));
      }
      waiting.clear();
    } catch (DataAccessException | TransactionException e) {
      away(e);
    }
  }

  private void writeAll() {
    while (!unwritten.isEmpty()) {
      if (unsure) {
        forgetWritten();
      }
      List<Batch> some = unwritten.subList(0, Math.min(AT_ONCE, unwritten.size()));
      try {
        append(some);
        some.clear();
      } catch (DataAccessException e) {
        if (!isRefusal(e)) {
          throw e;
        }
        // What looks like a refusal may be a write of before that was carried out after all.
        if (!forgetWritten()) {
          oneByOne(some);
        }
      }
    }
  }

  /** Whether the database was there and would not have this, whatever else it takes. */
  private static boolean isRefusal(RuntimeException e) {
    return e instanceof NonTransientDataAccessException
        && !JournalStore.hasNoRoom(e)
        && !(e instanceof NonTransientDataAccessResourceException)
        && !(e instanceof DataAccessResourceFailureException);
  }

  private void away(RuntimeException e) {
    unsure = true;
    answersAgain = false;
    if (!state.behind()) {
      LOG.warn("The database is away; events wait: {}", e.getMessage());
      become(new JournalState(true, state.refused()));
      keep(unwritten);
    }
    new Thread(this::awaitDatabase, "database-away").start();
  }

  private void become(JournalState now) {
    state = now;
    listeners.forEach(listener -> guarded("say how it stands", () -> listener.accept(now)));
  }

  private void keep(List<Batch> batches) {
    waiting.add(batches.stream().flatMap(batch -> batch.entries().stream()).toList());
  }

  /**
   * A write whose outcome was never learnt may have been carried out, wholly or not at all: what
   * the journal has already is not written once more.
   *
   * @return whether there was any of that
   */
  private boolean forgetWritten() {
    boolean any = false;
    while (!unwritten.isEmpty() && hasNothingToWrite(unwritten.get(0))) {
      unwritten.remove(0);
      any = true;
    }
    unsure = false;
    return any;
  }

  /** It was only to be shown, or the journal has it. */
  private boolean hasNothingToWrite(Batch batch) {
    List<Batch.Entry> entries = batch.entries();
    return entries.isEmpty() || journal.has(entries.get(entries.size() - 1));
  }

  private void append(List<Batch> batches) {
    List<Batch.Entry> entries = new ArrayList<>();
    List<CallRecords.Entries> history = new ArrayList<>();
    List<Fact> facts = new ArrayList<>();
    for (Batch batch : batches) {
      entries.addAll(batch.entries());
      history.addAll(batch.derived().join().history());
      facts.addAll(batch.derived().join().facts());
    }
    if (!entries.isEmpty() || !history.isEmpty() || !facts.isEmpty()) {
      journal.append(entries, history, facts);
    }
  }

  /** Something among them is refused: everything else is written, and the refusal is told. */
  private void oneByOne(List<Batch> batches) {
    while (!batches.isEmpty()) {
      Batch batch = batches.get(0);
      try {
        append(List.of(batch));
      } catch (DataAccessException e) {
        if (!isRefusal(e)) {
          throw e;
        }
        eventsAlone(batch, e);
      }
      batches.remove(0);
    }
  }

  /** An entry of the history that is refused must not keep its events back. */
  private void eventsAlone(Batch batch, DataAccessException why) {
    try {
      journal.append(batch.entries(), List.of(), List.of());
      LOG.error(
          "The history refused entries, which can be derived from the journal again: {}",
          batch.derived().join().history(),
          why);
    } catch (DataAccessException e) {
      if (!isRefusal(e)) {
        throw e;
      }
      batch
          .entries()
          .forEach(
              entry ->
                  LOG.error(
                      "The journal refused {} {}", entry.seq(), StoredEvent.of(entry.event())));
      LOG.error("It was refused because", e);
    }
    become(new JournalState(state.behind(), state.refused() + 1));
  }

  /** Asks in a thread of its own: waiting for the database must not delay a single command. */
  private void awaitDatabase() {
    while (thread.isAlive() && !answersAgain) {
      try {
        Thread.sleep(RETRY_MS);
        journal.ping();
        answersAgain = true;
      } catch (DataAccessException | TransactionException e) {
        LOG.debug("The database is still away", e);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      }
    }
  }

  public void stop() {
    until = System.nanoTime() + LAST_PATIENCE.toNanos();
    running = false;
    try {
      thread.join(2 * LAST_PATIENCE.toMillis());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    if (!unwritten.isEmpty() && waiting.keeps()) {
      LOG.warn(
          "The database is away. {} commands wait in {} and are written at the next start.",
          unwritten.size(),
          waiting.where());
    } else if (!unwritten.isEmpty()) {
      LOG.error("Stopped with {} commands not written", unwritten.size());
    }
  }
}
