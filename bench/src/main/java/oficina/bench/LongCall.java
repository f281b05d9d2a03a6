package oficina.bench;

import java.util.ArrayList;
import java.util.List;
import oficina.server.Client;
import oficina.server.TestServer;

/**
 * One call that is held and taken up again thousands of times: does it get slower, and its desk
 * larger?
 */
final class LongCall {
  private static final int HOLDS = 3_000;
  private static final int SOME = 300;

  private LongCall() {}

  static void measure(TestServer server) {
    try (Client caller = Client.signedIn(server.address(), "bench0");
        Client called = Client.signedIn(server.address(), "bench1")) {
      caller.takeInAndForget();
      called.takeInAndForget();
      String call = caller.call(Integer.toString(BenchOffice.FIRST_EXTENSION + 1));
      called.service(call, "answer");
      List<Double> times = new ArrayList<>();
      for (int i = 0; i < HOLDS; i++) {
        for (String service : List.of("hold", "retrieve")) {
          long begun = System.nanoTime();
          check(caller.service(call, service).status());
          times.add((System.nanoTime() - begun) / 1e6);
        }
      }
      Main.row(
          "a call held and resumed, the first " + SOME + " times, p50",
          "%.1f ms",
          p50(times.subList(0, SOME)));
      Main.row(
          "the last " + SOME + " of " + HOLDS + ", p50",
          "%.1f ms",
          p50(times.subList(times.size() - SOME, times.size())));
      Main.row(
          "  its desk then",
          "%.0f kB",
          caller.get("/api/desk").response().body().length() / 1000.0);
      caller.service(call, "clear");
    }
  }

  private static void check(int status) {
    if (status != 204) {
      throw new IllegalStateException("refused with " + status);
    }
  }

  private static double p50(List<Double> times) {
    return times.stream().sorted().toList().get(times.size() / 2);
  }
}
