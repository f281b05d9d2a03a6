package oficina.server.keeping;

import java.io.IOException;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.transaction.TransactionException;

/**
 * Brings what was recorded and is over from its files into the database, one after the other. As
 * long as the database is away or the file cannot be read it waits there, also for the next start.
 *
 * @param <L> says whose something recorded is
 */
public final class Filing<L> {
  private static final Logger LOG = LoggerFactory.getLogger(Filing.class);
  private static final long RETRY_MS = 1_000;

  /** Where it is brought to. */
  public interface Shelf<L> {
    /**
     * Brings one into the database; one that is there already stays as it is.
     *
     * @param known whether it is known to be worth keeping
     */
    void take(L label, boolean known) throws IOException;
  }

  private record Waiting(String place, boolean known) {}

  private final String name;
  private final Spool<L, ?> spool;
  private final Shelf<L> shelf;
  private final BlockingQueue<Waiting> waiting = new LinkedBlockingQueue<>();
  private volatile @Nullable Thread thread;
  private boolean failing;

  public Filing(String name, Spool<L, ?> spool, Shelf<L> shelf) {
    this.name = name;
    this.spool = spool;
    this.shelf = shelf;
  }

  /**
   * What was recorded in this place is over.
   *
   * @param known whether it is known to be worth keeping
   */
  public void file(String place, boolean known) {
    waiting.add(new Waiting(place, known));
  }

  private void work() {
    while (thread == Thread.currentThread()) {
      try {
        Waiting next = waiting.poll(1, TimeUnit.MINUTES);
        if (next != null && !filed(next)) {
          waiting.add(next);
          Thread.sleep(RETRY_MS);
        }
      } catch (InterruptedException e) {
        return;
      } catch (RuntimeException e) {
        LOG.error("What was recorded could not be filed; it stays in its file", e);
      }
    }
  }

  /** Whether that is done with; false when the database or the disk is away. */
  private boolean filed(Waiting what) {
    L label = null;
    try {
      label = spool.label(what.place());
      if (label == null) {
        return true;
      }
      shelf.take(label, what.known());
    } catch (DataIntegrityViolationException e) {
      LOG.error("The database refuses a recording; it stays in its file: {}", label, e);
      return true;
    } catch (DataAccessException | TransactionException | IOException e) {
      if (!failing) {
        LOG.warn("A recording waits in its file: {}", e.getMessage());
      }
      failing = true;
      return false;
    }
    failing = false;
    spool.remove(what.place());
    return true;
  }

  public void start() {
    Thread worker = new Thread(this::work, name);
    worker.setDaemon(true);
    thread = worker;
    worker.start();
  }

  public void stop() {
    Thread worker = thread;
    thread = null;
    if (worker != null) {
      worker.interrupt();
    }
  }

  public boolean isRunning() {
    return thread != null;
  }
}
