package oficina.server.threads;

import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;

/** Makes threads that have a name and do not keep the process alive. */
public final class Threads {
  private Threads() {}

  /**
   * One thread that does one thing after the other, of which only so many wait; what is too much is
   * rejected ({@link RejectedExecutionException}).
   */
  public static ExecutorService one(int mostWaiting, ThreadFactory thread) {
    return new ThreadPoolExecutor(
        1, 1, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(mostWaiting), thread);
  }

  /** For work that is to be done when it comes. */
  public static ThreadFactory named(String name) {
    return work -> {
      Thread thread = new Thread(work, name);
      thread.setDaemon(true);
      return thread;
    };
  }

  /** For work that is to take the processor only when nothing else wants it. */
  public static ThreadFactory behind(String name) {
    return lowered(name, Priority.BEHIND);
  }

  /**
   * For work that somebody waits for, and calls do not: it gets a share of the processor however
   * much else is to be done, and a smaller one than that.
   */
  public static ThreadFactory beside(String name) {
    return lowered(name, Priority.BESIDE);
  }

  private static ThreadFactory lowered(String name, int niceness) {
    return work ->
        named(name)
            .newThread(
                () -> {
                  Priority.lower(niceness);
                  work.run();
                });
  }
}
