package oficina.server.softphone;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Keys that come as telephone events (RFC 4733) over the connection of a device. */
@ExtendWith(TestServer.class)
class KeysAmongSoundTest {
  private static final byte[] SILENCE = {(byte) 0xF8, (byte) 0xFF, (byte) 0xFE};

  private static TestPage connected(Client person) throws IOException {
    TestPage page = new TestPage();
    Map<String, String> offered =
        Map.of("device", "test", "sdp", page.offer(/* opus= */ Opus.THERE));
    page.answered(person.post("/api/softphone", offered).body().get("sdp").asString());
    page.connect();
    return page;
  }

  /**
   * A page may be done with the handshake before the server is: what it says until then is lost.
   */
  private static TestPage heardBy(Client inCall) throws IOException {
    TestPage page = connected(inCall);
    long patience = System.nanoTime() + 20_000_000_000L;
    int heard;
    do {
      page.send(SILENCE, SILENCE.length);
      heard = page.hear(new byte[1_500], 20);
    } while (heard < 0 && System.nanoTime() < patience);
    assertThat(heard).as("sound of the call").isPositive();
    return page;
  }

  @Test
  void they_count_once_each_in_the_call_at_that_device() throws IOException {
    try (Client ines = Client.signedIn("ines");
        Client tomasz = Client.signedIn("tomasz")) {
      ines.connect("test");
      tomasz.connect("test");
      String call = ines.call("999");
      TestServer.get().clock().advance(Duration.ofSeconds(4));
      ines.awaitCall("TALKING");
      try (TestPage mine = heardBy(ines);
          TestPage others = connected(tomasz)) {
        others.press(9); // who is in no call presses nothing
        mine.press(4);
        mine.press(4);
        mine.press(11);
        mine.press(16); // a flash of the hook is no key
        ines.await(push -> push.toString().contains("\"digits\":\"44#\""));
        ines.service(call, "hold");
        mine.press(7); // nobody is spoken to
        mine.awaitTakenIn();
        ines.service(call, "retrieve");
        mine.press(8);
        ines.await(push -> push.toString().contains("\"digits\":\"44#8\""));
      }
      ines.service(call, "clear");
    }
  }

  @Test
  void nobody_presses_keys_faster_than_fingers_do() throws IOException {
    try (Client ines = Client.signedIn("ines")) {
      ines.connect("test");
      String call = ines.call("999");
      TestServer.get().clock().advance(Duration.ofSeconds(4));
      ines.awaitCall("TALKING");
      try (TestPage mine = heardBy(ines)) {
        for (int i = 0; i < 200; i++) {
          mine.press(i % 10);
        }
        mine.awaitTakenIn();
        ines.service(call, "hold");
        ines.awaitCall("HELD");
      }
      String keys = ines.get("/api/desk").body().get("calls").get(0).get("digits").asString();
      assertThat(keys).hasSizeBetween(1, 60);
      ines.service(call, "clear");
    }
  }
}
