package oficina.server.passwords;

import jakarta.annotation.PreDestroy;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import oficina.server.problems.Problem;
import oficina.server.threads.Threads;
import org.springframework.stereotype.Component;

/**
 * Where passwords are checked and hashed, which is slow on purpose: one at a time in a thread of
 * its own, with a small share of the processor, which after a wrong one rests as long as it has
 * worked, so that it takes little from the calls. Few may wait, of one origin fewer still, and
 * nobody for long; everybody else is told to try again.
 */
@Component
class PasswordChecks {
  private static final int WAITING = 16;
  private static final int WAITING_OF_AN_ORIGIN = 4;
  private static final int TRY_AGAIN_SECONDS = 2;
  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final ThreadMXBean WORK = ManagementFactory.getThreadMXBean();

  private final Duration patience;
  private final Map<String, Integer> waiting = new ConcurrentHashMap<>();
  private final ExecutorService checks = Threads.one(WAITING, Threads.beside("passwords"));

  PasswordChecks() {
    this(PATIENCE);
  }

  /**
   * @param patience how long somebody waits at most
   */
  PasswordChecks(Duration patience) {
    this.patience = patience;
  }

  /**
   * Does something that checks or hashes a password.
   *
   * @param from the browser or the network address that asks for it
   * @throws Problem when too many wait already, or the check itself ends in one
   */
  <T> T await(String from, Supplier<T> check) {
    CompletableFuture<T> answer = new CompletableFuture<>();
    try {
      if (waiting.merge(from, 1, Integer::sum) > WAITING_OF_AN_ORIGIN) {
        throw busy();
      }
      checks.execute(() -> answerAndRest(check, answer));
      return answer.get(patience.toMillis(), TimeUnit.MILLISECONDS);
    } catch (TimeoutException e) {
      answer.cancel(false); // if it has not begun, it need not
      throw Problem.busy("SIGN_IN_BUSY", TRY_AGAIN_SECONDS);
    } catch (RejectedExecutionException e) {
      throw busy();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IllegalStateException(e.getCause());
    } finally {
      leave(from);
    }
  }

  private static <T> void answerAndRest(Supplier<T> check, CompletableFuture<T> answer) {
    if (answer.isDone()) {
      return; // nobody waits for it any more
    }
    long begun = WORK.getCurrentThreadCpuTime();
    try {
      answer.complete(check.get());
    } catch (RuntimeException e) {
      answer.completeExceptionally(e);
      LockSupport.parkNanos(WORK.getCurrentThreadCpuTime() - begun);
    }
  }

  private void leave(String from) {
    waiting.computeIfPresent(from, (key, count) -> count > 1 ? count - 1 : null);
  }

  private static Problem busy() {
    return Problem.tooMany("SIGN_IN_BUSY", TRY_AGAIN_SECONDS);
  }

  @PreDestroy
  void stop() {
    checks.shutdownNow();
  }
}
