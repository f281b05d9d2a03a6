package oficina.server.threads;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Something that is done once an hour, behind all other work. */
public final class Hourly {
  private static final Logger LOG = LoggerFactory.getLogger(Hourly.class);

  private final String name;
  private final Runnable work;
  private final ScheduledExecutorService thread;

  public Hourly(String name, Runnable work) {
    this.name = name;
    this.work = work;
    thread = Executors.newSingleThreadScheduledExecutor(Threads.behind(name));
    thread.scheduleWithFixedDelay(this::run, 1, 1, TimeUnit.HOURS);
  }

  /** Does it out of turn, soon. */
  public void soon() {
    thread.execute(this::run);
  }

  private void run() {
    try {
      work.run();
    } catch (RuntimeException e) {
      LOG.warn("{} is tried again in an hour: {}", name, e.getMessage());
    }
  }

  public void stop() {
    thread.shutdownNow();
  }
}
