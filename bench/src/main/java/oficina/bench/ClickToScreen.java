package oficina.bench;

import java.util.Arrays;
import oficina.server.Client;

/** How long it takes from one person's command until another's page has been told of it. */
final class ClickToScreen {
  private static final int WARM_UP = 50;

  private ClickToScreen() {}

  /** Times in milliseconds, sorted. */
  static double[] measure(String address, int calls) {
    double[] times = new double[calls];
    try (Client ines = Client.signedIn(address, "ines");
        Client tomasz = Client.signedIn(address, "tomasz")) {
      for (int i = -WARM_UP; i < calls; i++) {
        long sent = System.nanoTime();
        String call = ines.call("221");
        // The push may be there before the confirmation; it is timed when it arrives.
        tomasz.awaitCall("RINGING");
        long seen = tomasz.lastPushAt();
        if (i >= 0) {
          times[i] = (seen - sent) / 1e6;
        }
        ines.service(call, "clear");
        tomasz.awaitNoCalls();
      }
    }
    Arrays.sort(times);
    return times;
  }
}
