package oficina.server.signin;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import oficina.server.problems.Problem;
import oficina.server.problems.Problems;
import oficina.server.threads.Threads;

/**
 * Where strangers who ask too much wait a while for their refusal. Answered at once they would ask
 * again at once, and the refusing itself would keep the calls waiting. Nobody who waits here holds
 * a thread.
 */
class Tarpit {
  private static final int MOST = 2_000;
  private static final int SECONDS = 3;

  private final Problems problems;
  private final AtomicInteger waiting = new AtomicInteger();
  private final ScheduledExecutorService clock =
      Executors.newSingleThreadScheduledExecutor(Threads.named("tarpit"));

  Tarpit(Problems problems) {
    this.problems = problems;
  }

  /**
   * Has a request refused after a while.
   *
   * @return false when too many wait already: then it has to be refused otherwise
   */
  boolean refuse(HttpServletRequest request, HttpServletResponse response, Problem problem) {
    if (waiting.get() >= MOST || request.isAsyncStarted() || response.isCommitted()) {
      return false;
    }
    waiting.incrementAndGet();
    AsyncContext later = request.startAsync(request, response);
    later.setTimeout(0);
    clock.schedule(() -> answer(later, response, problem), SECONDS, TimeUnit.SECONDS);
    return true;
  }

  private void answer(AsyncContext later, HttpServletResponse response, Problem problem) {
    waiting.decrementAndGet();
    try {
      problems.write(response, problem);
    } catch (IOException | IllegalStateException e) {
      // Whoever asked has gone.
    } finally {
      later.complete();
    }
  }
}
