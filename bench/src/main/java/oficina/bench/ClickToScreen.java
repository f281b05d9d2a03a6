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
        double millis = ringing(ines, "221", tomasz);
        if (i >= 0) {
          times[i] = millis;
        }
      }
    }
    Arrays.sort(times);
    return times;
  }

  /** How long it takes until a call is shown to whoever is called, in milliseconds. */
  static double ringing(Client caller, String number, Client called) {
    long sent = System.nanoTime();
    String call = caller.call(number);
    // The push may be there before the confirmation; it is timed when it arrives.
    called.awaitCall("RINGING");
    long seen = called.lastPushAt();
    caller.service(call, "clear");
    called.awaitNoCalls();
    return (seen - sent) / 1e6;
  }
}
