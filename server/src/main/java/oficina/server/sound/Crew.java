package oficina.server.sound;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;

/** Does the same for all ends, with as many threads as there are processors. */
final class Crew {
  private static final int FEW = 8;

  private final int workers = Runtime.getRuntime().availableProcessors();
  private final ExecutorService others;

  Crew() {
    others =
        Executors.newFixedThreadPool(
            Math.max(1, workers - 1),
            work -> {
              Thread thread = new Thread(work, "sound-crew");
              thread.setDaemon(true);
              thread.setPriority(Thread.MAX_PRIORITY);
              return thread;
            });
  }

  /**
   * Returns when it is done for all. Whoever is ready takes the next one, for processors are not
   * equally fast at every moment, and all wait for the last.
   */
  void forAll(Port[] ports, Consumer<Port> what) {
    AtomicInteger next = new AtomicInteger();
    if (workers == 1 || ports.length < FEW) {
      work(ports, next, what);
      return;
    }
    List<Future<?>> running = new ArrayList<>(workers - 1);
    for (int i = 1; i < workers; i++) {
      running.add(others.submit(() -> work(ports, next, what)));
    }
    work(ports, next, what);
    for (Future<?> each : running) {
      try {
        each.get();
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      } catch (ExecutionException e) {
        throw new IllegalStateException(e.getCause());
      }
    }
  }

  private static void work(Port[] ports, AtomicInteger next, Consumer<Port> what) {
    for (int i = next.getAndIncrement(); i < ports.length; i = next.getAndIncrement()) {
      what.accept(ports[i]);
    }
  }

  void dismiss() {
    others.shutdownNow();
  }
}
