package oficina.bench;

import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import oficina.server.Client;
import oficina.server.TestPhone;
import oficina.server.TestServer;

/**
 * How long it takes from a key of a desk phone until other screens, and its own, have been told.
 */
final class KeyToScreen {
  private static final int WARM_UP = 50;
  private static final int KEYS = 300;
  private static final long PAUSE_NANOS = 30_000_000;

  private KeyToScreen() {}

  static void measure(TestServer server) {
    double[] other = new double[KEYS];
    double[] apart = new double[KEYS];
    try (Client ines = Client.signedIn(server.address(), "ines");
        Client tomasz = Client.signedIn(server.address(), "tomasz")) {
      String secret = ines.post("/api/devices/phone", Map.of()).body().get("secret").asString();
      TestPhone phone = new TestPhone(Map.of("secret", secret));
      phone.hears("IDLE");
      String call = tomasz.call("201");
      phone.hears("CALL_RINGS");
      phone.press("OFF_HOOK", 0);
      phone.hears("CALL_TALKING");
      tomasz.awaitCall("TALKING");
      ines.awaitCall("TALKING");
      for (int i = -WARM_UP; i < KEYS; i++) {
        LockSupport.parkNanos(PAUSE_NANOS); // more than forty keys a second are nobody's fingers
        boolean holds = i % 2 == 0;
        long sent = System.nanoTime();
        phone.press("HOLD", 0);
        tomasz.awaitCall(holds ? "WAITING" : "TALKING");
        ines.awaitCall(holds ? "HELD" : "TALKING");
        phone.hears(holds ? "CALL_HELD" : "CALL_TALKING");
        if (i >= 0) {
          other[i] = (tomasz.lastPushAt() - sent) / 1e6;
          apart[i] = Math.abs(ines.lastPushAt() - phone.toldAt()) / 1e6;
        }
      }
      tomasz.service(call, "clear");
      phone.unplug();
    }
    Arrays.sort(other);
    Arrays.sort(apart);
    Main.row(
        "key of a desk phone to the other screen, p95 (aim 50 ms)",
        "%.1f ms",
        other[KEYS * 95 / 100]);
    Main.row("desk phone and own screen apart, at most (aim 100 ms)", "%.1f ms", apart[KEYS - 1]);
  }
}
