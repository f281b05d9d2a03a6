package oficina.server.sound;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
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

  /** Returns when it is done for all. */
  void forAll(Port[] ports, Consumer<Port> what) {
    if (workers == 1 || ports.length < FEW) {
      part(ports, 0, 1, what);
      return;
    }
    List<Future<?>> running = new ArrayList<>(workers - 1);
    for (int i = 1; i < workers; i++) {
      int mine = i;
      running.add(others.submit(() -> part(ports, mine, workers, what)));
    }
    part(ports, 0, workers, what);
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

  private static void part(Port[] ports, int first, int step, Consumer<Port> what) {
    for (int i = first; i < ports.length; i += step) {
      what.accept(ports[i]);
    }
  }

  void dismiss() {
    others.shutdownNow();
  }
}
