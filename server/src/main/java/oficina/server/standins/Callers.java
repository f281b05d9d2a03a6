package oficina.server.standins;

import java.time.Duration;
import java.util.List;
import java.util.Random;
import oficina.server.exchange.ExchangeLoop;

/** Has subscribers call the office by themselves now and then. On the exchange's thread. */
final class Callers {
  private static final int SHORTEST_PAUSE_SECONDS = 25;
  private static final int LONGEST_PAUSE_SECONDS = 90;

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
    List<Subscriber> idle =
        network.subscribers().stream()
            .filter(
                s ->
                    s.calls() != null && !network.played(s.number()) && !network.onCall(s.number()))
            .toList();
    if (!idle.isEmpty()) {
      Subscriber caller = idle.get(random.nextInt(idle.size()));
      network.callOffice(caller.number(), caller.calls(), random.nextInt(12) == 0);
    }
  }
}
