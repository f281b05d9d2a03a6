package oficina.server.standins;

import java.time.Duration;
import java.util.List;
import java.util.Random;
import oficina.core.numbers.PhoneNumber;
import oficina.server.exchange.ExchangeLoop;
import org.jspecify.annotations.Nullable;

/** Has subscribers call the office by themselves now and then. On the exchange's thread. */
final class Callers {
  private static final int SHORTEST_PAUSE_SECONDS = 25;
  private static final int LONGEST_PAUSE_SECONDS = 90;
  private static final Duration LISTENS = Duration.ofSeconds(20);
  private static final Duration FINDS_THE_BOOKING = Duration.ofSeconds(8);
  private static final int SMALLEST_BOOKING = 400_000;
  private static final String KEEP_KEY = "1";
  private static final Duration RUSH_PAUSE = Duration.ofSeconds(2);
  private static final Duration SHORTEST_PATIENCE = Duration.ofSeconds(45);
  private static final Duration LONGEST_PATIENCE = Duration.ofMinutes(4);

  private final ExchangeLoop loop;
  private final NetworkStandIn network;
  private final Random random = new Random(1912);
  private boolean on;
  private int run;

  Callers(ExchangeLoop loop, NetworkStandIn network) {
    this.loop = loop;
    this.network = network;
  }

  boolean on() {
    return on;
  }

  void on(boolean wanted) {
    if (wanted != on) {
      on = wanted;
      run++;
      next(run);
    }
  }

  private void next(int ofRun) {
    int pause =
        SHORTEST_PAUSE_SECONDS + random.nextInt(LONGEST_PAUSE_SECONDS - SHORTEST_PAUSE_SECONDS);
    loop.later(
        Duration.ofSeconds(pause),
        () -> {
          if (on && run == ofRun) {
            call();
            next(ofRun);
          }
        });
  }

  private void call() {
    Subscriber caller = idle();
    if (caller != null) {
      network.callOffice(caller.number(), caller.calls(), random.nextInt(12) == 0);
    }
  }

  private @Nullable Subscriber idle() {
    List<Subscriber> idle =
        network.subscribers().stream()
            .filter(
                s ->
                    s.calls() != null && !network.played(s.number()) && !network.onCall(s.number()))
            .toList();
    return idle.isEmpty() ? null : idle.get(random.nextInt(idle.size()));
  }

  /** So many call this number, one shortly after the other; each gives up after a while. */
  void rush(PhoneNumber to, int callers) {
    for (int i = 0; i < callers; i++) {
      loop.later(RUSH_PAUSE.multipliedBy(i), () -> rushes(to));
    }
  }

  private void rushes(PhoneNumber to) {
    Subscriber caller = idle();
    if (caller != null) {
      network.callOffice(caller.number(), to, /* withheld= */ false);
      Duration patience =
          SHORTEST_PATIENCE.plusSeconds(random.nextLong(LONGEST_PATIENCE.toSeconds()));
      loop.later(patience, () -> network.givesUp(caller.number()));
      String booking = Integer.toString(SMALLEST_BOOKING + random.nextInt(SMALLEST_BOOKING));
      loop.later(FINDS_THE_BOOKING, () -> network.pressesWaiting(caller.number(), booking + "#"));
      if (random.nextInt(4) == 0) {
        loop.later(LISTENS, () -> network.pressesWaiting(caller.number(), KEEP_KEY));
      }
    }
  }
}
