package oficina.server.exchange;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import oficina.core.history.Part;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Writes what happens at the exchange into the journal and tells the desks afterwards. Commands
 * that wait together are written together. While the database is away calls go on: events wait here
 * in order, and the desks are told that the history is catching up.
 */
@Component
class JournalWriter {
  private static final Logger LOG = LoggerFactory.getLogger(JournalWriter.class);
  private static final long RETRY_MS = 500;

  private final JournalStore journal;
  private final DeskFeed feed;
  private final BlockingQueue<Batch> queue = new LinkedBlockingQueue<>();
  private final List<Batch> unwritten = new ArrayList<>();
  private volatile boolean running;
  private Thread thread;

  /** Whether the database has answered since it was found away. */
  private volatile boolean answersAgain;

  JournalWriter(JournalStore journal, DeskFeed feed) {
    this.journal = journal;
    this.feed = feed;
  }

  void add(Batch batch) {
    queue.add(batch);
  }

  void start() {
    running = true;
    thread = new Thread(this::loop, "journal");
    thread.start();
  }

  private void loop() {
    while (running || !queue.isEmpty()) {
      try {
        List<Batch> waiting = new ArrayList<>();
        Batch first = queue.poll(250, TimeUnit.MILLISECONDS);
        if (first != null) {
          waiting.add(first);
          queue.drainTo(waiting);
        }
        unwritten.addAll(waiting);
        write();
        for (Batch batch : waiting) {
          feed.publish(batch);
          batch.confirm().run();
        }
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      } catch (RuntimeException e) {
        LOG.error("The journal could not tell the desks something", e);
      }
    }
  }

  private void write() {
    boolean behind = feed.behind();
    if (unwritten.isEmpty() || (behind && !answersAgain)) {
      return;
    }
    List<JournalStore.Entry> entries = new ArrayList<>();
    Map<String, Part> parts = new LinkedHashMap<>();
    for (Batch batch : unwritten) {
      entries.addAll(batch.entries());
      batch.parts().forEach(part -> parts.put(part.call() + "/" + part.person(), part));
    }
    try {
      if (!entries.isEmpty()) {
        append(entries, parts.values());
      }
      if (behind) {
        LOG.info("The journal has caught up with {} events", entries.size());
        feed.behind(false);
      }
      unwritten.clear();
    } catch (DataAccessException | TransactionException e) {
      if (!behind) {
        LOG.warn("The database is away; events wait in memory: {}", e.getMessage());
        feed.behind(true);
      }
      answersAgain = false;
      new Thread(this::awaitDatabase, "database-away").start();
    }
  }

  /**
   * Writes everything together. An entry of the history that the database refuses must not keep the
   * events back, nor the other entries.
   */
  private void append(List<JournalStore.Entry> entries, Collection<Part> parts) {
    try {
      journal.append(entries, List.copyOf(parts));
    } catch (DataIntegrityViolationException e) {
      journal.append(entries, List.of());
      for (Part part : parts) {
        try {
          journal.append(List.of(), List.of(part));
        } catch (DataIntegrityViolationException refused) {
          LOG.error("The history entry of call {} could not be written", part.call(), refused);
        }
      }
    }
  }

  /** Asks in a thread of its own: waiting for the database must not delay a single command. */
  private void awaitDatabase() {
    while (running && !answersAgain) {
      try {
        journal.ping();
        answersAgain = true;
      } catch (DataAccessException | TransactionException e) {
        try {
          Thread.sleep(RETRY_MS);
        } catch (InterruptedException interrupted) {
          Thread.currentThread().interrupt();
          return;
        }
      }
    }
  }

  void stop() {
    running = false;
    try {
      thread.join(5_000);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    if (!unwritten.isEmpty()) {
      LOG.error("Stopped with {} batches of events not written", unwritten.size());
    }
  }
}
