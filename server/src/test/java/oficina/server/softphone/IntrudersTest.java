package oficina.server.softphone;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.server.Client;
import oficina.server.Client.Answer;
import oficina.server.TestServer;
import oficina.server.sound.EndId;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The port for sound takes nothing from anybody but the page that made the offer. */
@ExtendWith(TestServer.class)
class IntrudersTest {
  private static final byte[] SILENCE = {(byte) 0xF8, (byte) 0xFF, (byte) 0xFE};

  private final SoundPort port = TestServer.get().bean(SoundPort.class);
  private final Softphones softphones = TestServer.get().bean(Softphones.class);
  private final EndId.Device end = new EndId.Device(new PersonId(1), new DeviceId("intruded"));

  @AfterEach
  void disconnect() {
    softphones.disconnect(end);
  }

  private TestPage connected() throws IOException {
    TestPage page = new TestPage();
    page.answered(softphones.connect(end, Offer.read(page.offer(/* opus= */ true))));
    page.connect();
    return page;
  }

  private static void counts(AtomicLong counter, long from) {
    long until = System.nanoTime() + 5_000_000_000L;
    while (counter.get() <= from && System.nanoTime() < until) {
      LockSupport.parkNanos(1_000_000);
    }
    assertThat(counter.get()).isGreaterThan(from);
  }

  /**
   * Says something twice until the second is refused. A page may be done with the handshake before
   * the server is: what it says until then is lost.
   */
  private void repeats(TestPage page) throws IOException {
    long before = port.refused().replayed.get();
    long until = System.nanoTime() + 5_000_000_000L;
    while (port.refused().replayed.get() == before && System.nanoTime() < until) {
      byte[] packet = page.packet(SILENCE, SILENCE.length);
      page.sendRaw(packet);
      page.sendRaw(packet);
      LockSupport.parkNanos(20_000_000);
    }
    assertThat(port.refused().replayed.get()).isGreaterThan(before);
  }

  @Test
  void whoever_does_not_know_the_password_finds_no_way() throws IOException {
    try (TestPage page = new TestPage()) {
      page.answered(softphones.connect(end, Offer.read(page.offer(true))));
      long before = port.refused().credentials.get();
      assertThat(page.ask("wrong".getBytes(StandardCharsets.US_ASCII))).isNull();
      counts(port.refused().credentials, before);
      long strangers = port.refused().strangers.get();
      page.sendRaw(new byte[] {(byte) 0x80, 111, 0, 1, 0, 0, 0, 0, 0, 0, 0, 0, 1});
      counts(port.refused().strangers, strangers);
      page.connect(); // with the right one it is found
      repeats(page);
    }
  }

  @Test
  void a_page_with_another_certificate_than_it_had_said_is_not_connected() throws IOException {
    try (TestPage page = new TestPage()) {
      page.answered(softphones.connect(end, Offer.read(page.offerOfAnother())));
      long before = port.refused().handshakes.get();
      assertThatThrownBy(page::connect).isInstanceOf(IOException.class);
      counts(port.refused().handshakes, before);
    }
  }

  @Test
  void forged_and_replayed_packets_are_not_heard() throws IOException {
    try (TestPage page = connected()) {
      repeats(page);
      long forged = port.refused().forged.get();
      byte[] bad = page.packet(SILENCE, SILENCE.length);
      bad[13] ^= 1;
      page.sendRaw(bad);
      counts(port.refused().forged, forged);
    }
  }

  @Test
  void nobody_who_forges_where_they_come_from_silences_another_page() throws IOException {
    EndId.Device other = new EndId.Device(new PersonId(2), new DeviceId("intruder"));
    try (TestPage victim = connected();
        TestPage intruder = new TestPage()) {
      intruder.answered(softphones.connect(other, Offer.read(intruder.offer(true))));
      long before = port.refused().addresses.get();
      victim.forge(intruder);
      counts(port.refused().addresses, before);
      repeats(victim);
      // Whoever has taken an address where nobody was yet loses it to the page that is there.
      try (TestPage late = new TestPage()) {
        late.answered(softphones.connect(end, Offer.read(late.offer(true))));
        late.forge(intruder);
        late.connect();
        repeats(late);
      }
    } finally {
      softphones.disconnect(other);
    }
  }

  /** Once each of them kept one of four threads for ten seconds, and everybody else waited. */
  @Test
  void pages_that_stop_in_the_middle_of_the_handshake_keep_nobody_else_from_connecting()
      throws IOException {
    List<TestPage> stopped = new ArrayList<>();
    long before = port.refused().handshakes.get();
    try {
      for (int i = 0; i < 12; i++) {
        EndId.Device half = new EndId.Device(new PersonId(2), new DeviceId("half-" + i));
        TestPage page = new TestPage();
        stopped.add(page);
        page.answered(softphones.connect(half, Offer.read(page.offer(true))));
        page.beginToConnect();
      }
      counts(port.refused().handshakes, before + 7);
      try (TestPage honest = connected()) {
        repeats(honest);
      }
      assertThat(port.refused().handshakes.get())
          .as("only those had to give way that were one too many of one person's")
          .isEqualTo(before + 8);
    } finally {
      stopped.forEach(TestPage::close);
      for (int i = 0; i < 12; i++) {
        softphones.disconnect(new EndId.Device(new PersonId(2), new DeviceId("half-" + i)));
      }
    }
  }

  @Test
  void a_connection_that_was_replaced_is_worth_nothing() throws IOException {
    try (TestPage first = connected();
        TestPage second = connected()) {
      long strangers = port.refused().strangers.get();
      first.send(SILENCE, SILENCE.length);
      counts(port.refused().strangers, strangers);
      repeats(second);
    }
  }

  @Test
  void pages_that_say_goodbye_keep_nobody_from_coming() throws IOException {
    for (int i = 0; i < 12; i++) {
      TestPage page = connected();
      page.sendRaw(new byte[] {22, 1}); // a step that is none, and another after the goodbye
      page.sayGoodbye();
    }
    try (TestPage page = connected()) {
      repeats(page);
    }
  }

  @Test
  void no_nonsense_at_the_port_harms_it() throws IOException {
    try (TestPage page = connected()) {
      java.util.Random random = new java.util.Random(3);
      byte[] firsts = {0, 1, 20, 22, 63, (byte) 128, (byte) 191, (byte) 255};
      for (int i = 0; i < 2_000; i++) {
        byte[] packet = new byte[random.nextInt(200)];
        random.nextBytes(packet);
        if (packet.length > 0) {
          packet[0] = firsts[random.nextInt(firsts.length)];
        }
        page.sendRaw(packet);
      }
      repeats(page);
    }
  }

  @Test
  void nobody_connects_the_window_of_another_and_bad_offers_are_told() throws IOException {
    try (Client ines = Client.signedIn("ines");
        TestPage page = new TestPage()) {
      Answer other = offer(ines, "window-of-tomasz", page.offer(true));
      assertThat(other.code()).isEqualTo("NO_SUCH_WINDOW");
      for (String bad :
          Arrays.asList(
              "",
              "nonsense",
              page.offer(true).replace("v=0", "v=1"),
              page.offer(true).replace("m=audio", "m=video"),
              page.offer(true) + page.offer(true),
              page.offer(true).replace("sha-256", "md5"),
              page.offer(true).replace("rtpmap:111", "rtpmap:200"),
              page.offer(true).replace("rtpmap:110", "rtpmap:72"),
              page.offer(true).replace("a=mid:0\r\n", ""))) {
        assertThat(offer(ines, "window", bad).code()).as(bad).isEqualTo("NOT_AN_OFFER");
      }
    }
  }

  @Test
  void windows_that_close_at_any_step_leave_nothing_behind() throws IOException {
    int before = port.connections();
    try (Client ines = Client.signedIn("ines");
        TestPage never = new TestPage();
        TestPage asked = new TestPage();
        TestPage connected = new TestPage()) {
      offer(ines, "window", never.offer(true)); // no more is heard of it
      asked.answered(sdp(offer(ines, "window", asked.offer(true))));
      asked.ask("wrong".getBytes(StandardCharsets.US_ASCII));
      connected.answered(sdp(offer(ines, "window", connected.offer(true))));
      connected.connect();
      assertThat(port.connections()).isEqualTo(before + 1); // each took the place of the one before
      ines.disconnect();
      long until = System.nanoTime() + 20_000_000_000L;
      while (port.connections() > before && System.nanoTime() < until) {
        TestServer.get().clock().advance(Duration.ofSeconds(11));
        LockSupport.parkNanos(10_000_000);
      }
      assertThat(port.connections()).isEqualTo(before);
    }
  }

  private static String sdp(Answer answer) {
    return answer.body().get("sdp").asString();
  }

  private static Answer offer(Client who, String device, String sdp) {
    return who.post("/api/softphone", Map.of("device", device, "sdp", sdp));
  }
}
