package oficina.server.threads;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Each has its things done in order, and waits for nobody else. */
class InTurnTest {
  private final ExecutorService pool = Executors.newFixedThreadPool(2, Threads.named("in-turn"));

  @AfterEach
  void end() {
    pool.shutdownNow();
  }

  @Test
  void whoever_takes_long_keeps_the_own_order_and_nobody_else() throws Exception {
    InTurn slow = new InTurn(pool, 10);
    InTurn other = new InTurn(pool, 10);
    List<Integer> done = Collections.synchronizedList(new ArrayList<>());
    CountDownLatch goOn = new CountDownLatch(1);
    CountDownLatch slowDone = new CountDownLatch(3);
    CountDownLatch otherDone = new CountDownLatch(1);
    slow.execute(() -> await(goOn));
    for (int i = 1; i <= 3; i++) {
      int which = i;
      slow.execute(
          () -> {
            done.add(which);
            slowDone.countDown();
          });
    }
    other.execute(otherDone::countDown);
    assertThat(otherDone.await(30, TimeUnit.SECONDS)).isTrue();
    assertThat(done).isEmpty();
    goOn.countDown();
    assertThat(slowDone.await(30, TimeUnit.SECONDS)).isTrue();
    assertThat(done).containsExactly(1, 2, 3);
  }

  @Test
  void what_is_too_much_is_left_out_and_a_failure_ends_nothing() throws Exception {
    InTurn few = new InTurn(pool, 2);
    CountDownLatch goOn = new CountDownLatch(1);
    CountDownLatch begun = new CountDownLatch(1);
    List<String> done = Collections.synchronizedList(new ArrayList<>());
    few.execute(
        () -> {
          begun.countDown();
          await(goOn);
        });
    assertThat(begun.await(30, TimeUnit.SECONDS)).isTrue();
    few.execute(
        () -> {
          throw new IllegalStateException("work that fails, on purpose");
        });
    few.execute(() -> done.add("second"));
    few.execute(() -> done.add("too much"));
    goOn.countDown();
    CountDownLatch after = new CountDownLatch(1);
    while (after.getCount() > 0) { // until it has room again
      few.execute(after::countDown);
      Thread.onSpinWait();
    }
    assertThat(done).containsExactly("second");
  }

  private static void await(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
