package oficina.server.threads;

import java.util.ArrayDeque;
import java.util.Queue;
import java.util.concurrent.Executor;
import org.jspecify.annotations.Nullable;

/**
 * One thing after the other for one of many, by whichever thread of a pool is free: nobody waits
 * for the work of others. Of what is asked for while so much waits already, nothing is done.
 */
public final class InTurn implements Executor {
  private final Executor pool;
  private final int mostWaiting;
  private final Queue<Runnable> waiting = new ArrayDeque<>();
  private boolean atWork;

  public InTurn(Executor pool, int mostWaiting) {
    this.pool = pool;
    this.mostWaiting = mostWaiting;
  }

  @Override
  public synchronized void execute(Runnable work) {
    if (waiting.size() == mostWaiting) {
      return;
    }
    waiting.add(work);
    if (!atWork) {
      atWork = true;
      pool.execute(this::one);
    }
  }

  /** Only one at a time, so that others of the pool get their turn. */
  private void one() {
    Runnable next = next();
    try {
      if (next != null) {
        next.run();
      }
    } finally {
      goOn();
    }
  }

  private synchronized @Nullable Runnable next() {
    return waiting.poll();
  }

  private synchronized void goOn() {
    atWork = !waiting.isEmpty();
    if (atWork) {
      pool.execute(this::one);
    }
  }
}
