package oficina.server.softphone;

import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import oficina.core.people.PersonId;
import oficina.server.threads.Threads;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Handshakes that are under way. The library that does them waits in its thread for what comes
 * next, so each has a thread of its own, for which nobody else waits (decision 40). There are not
 * many: of one person's, and of all together, the oldest gives way to a new one. Whoever is honest
 * is done long before.
 */
final class Handshakes {
  private static final Logger LOG = LoggerFactory.getLogger(Handshakes.class);
  private static final int MOST = 64;
  private static final int MOST_OF_ONE = 4;
  private static final int STACK_BYTES = 256 * 1024;
  private static final int MOST_AFTERWARDS = 500;

  /** The oldest first. */
  private final Set<PageConnection> underWay = new LinkedHashSet<>();

  private final ExecutorService afterwards =
      Threads.one(MOST_AFTERWARDS, Threads.named("sound-handshakes"));

  /** Begins one. Whoever gives way to it has failed. */
  synchronized void begin(PageConnection whose, Runnable shake) {
    if (of(whose.by()) >= MOST_OF_ONE) {
      giveWay(whose.by());
    } else if (underWay.size() >= MOST) {
      giveWay(whoeverHasMost());
    }
    underWay.add(whose);
    Runnable untilDone =
        () -> {
          try {
            shake.run();
          } finally {
            done(whose);
          }
        };
    Thread thread = new Thread(null, untilDone, "sound-handshake", STACK_BYTES);
    thread.setDaemon(true);
    thread.start();
  }

  private long of(PersonId person) {
    return underWay.stream().filter(each -> each.by().equals(person)).count();
  }

  private PersonId whoeverHasMost() {
    return underWay.stream()
        .map(PageConnection::by)
        .max(Comparator.comparingLong(this::of))
        .orElseThrow();
  }

  private void giveWay(PersonId person) {
    for (PageConnection each : underWay) {
      if (each.by().equals(person)) {
        underWay.remove(each);
        each.giveWay();
        return;
      }
    }
  }

  private synchronized void done(PageConnection whose) {
    underWay.remove(whose);
  }

  /** Has something done that belongs to a handshake that is over, and waits for nobody. */
  void afterwards(Runnable task) {
    try {
      afterwards.execute(task);
    } catch (RejectedExecutionException e) {
      LOG.debug("What follows a handshake was left out: the page repeats it");
    }
  }

  synchronized void stop() {
    underWay.forEach(PageConnection::giveWay);
    afterwards.shutdownNow();
  }
}
