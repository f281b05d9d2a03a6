package oficina.server.threads;

import java.util.concurrent.ThreadFactory;

/** Makes threads that have a name and do not keep the process alive. */
public final class Threads {
  private Threads() {}

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
    return work ->
        named(name)
            .newThread(
                () -> {
                  Priority.lower();
                  work.run();
                });
  }
}
