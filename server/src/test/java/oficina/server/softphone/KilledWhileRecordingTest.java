package oficina.server.softphone;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import oficina.core.sound.BadSoundException;
import oficina.core.sound.G711;
import oficina.core.sound.Goertzel;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.server.Client;
import oficina.server.ServerProcess;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What was said before the server was killed is there after its restart, but for a second. */
class KilledWhileRecordingTest {
  private static final int HERTZ = 900;
  private static final int SPOKEN_SECONDS = 4;
  private static final int FRAME = 160;
  private static final long PATIENCE_NANOS = 40_000_000_000L;

  /** 20 ms of a tone at 8 kHz, whole periods of it. */
  private static byte[] frame() {
    short[] samples = new short[FRAME];
    for (int i = 0; i < FRAME; i++) {
      samples[i] = (short) (8_000 * Math.sin(2 * Math.PI * HERTZ * i / 8_000));
    }
    byte[] frame = new byte[FRAME];
    G711.A_LAW.encode(samples, FRAME, frame);
    return frame;
  }

  @Test
  void the_message_is_there_after_the_restart() throws IOException, BadSoundException {
    try (ServerProcess server = new ServerProcess()) {
      server.start();
      leaveAMessageAndDieInTheMiddle(server);
      server.start();
      try (Client tomasz = Client.withoutPage(server.address(), "tomasz")) {
        JsonNode message = awaitMessage(tomasz);
        assertThat(message.get("length").asLong())
            .isGreaterThan((SPOKEN_SECONDS - 1) * 1_000L - 100);
        byte[] file =
            tomasz.bytes("/api/voicemail/" + message.get("id").asLong() + "/sound").body();
        short[] samples = Wav.read(file, Duration.ofMinutes(3));
        for (int second = 0; second < SPOKEN_SECONDS - 1; second++) {
          int from = second * Pcm.RATE + Pcm.RATE / 4;
          assertThat(Goertzel.amplitude(samples, from, Pcm.RATE / 2, HERTZ)).isGreaterThan(0.1);
        }
      }
    }
  }

  private static void leaveAMessageAndDieInTheMiddle(ServerProcess server) throws IOException {
    try (TestPage page = new TestPage()) {
      Client ines = Client.signedIn(server.address(), "ines");
      Client tomasz = Client.signedIn(server.address(), "tomasz");
      Map<String, String> offer = Map.of("device", "window", "sdp", page.offer(/* opus= */ false));
      page.answered(ines.post("/api/softphone", offer).body().get("sdp").asString());
      page.connect();
      Map<String, String> placed = Map.of("device", "window", "to", "221");
      String call = ines.post("/api/calls", placed).body().get("id").asString();
      tomasz.service(call, "decline");
      ines.service(call, "to-mailbox");
      ines.awaitCall("MESSAGE");
      ines.post("/api/calls/" + call + "/digits", Map.of("digits", "#")); // no greeting
      byte[] frame = frame();
      long next = System.nanoTime();
      for (int i = 0; i < 50 * SPOKEN_SECONDS + 25; i++) { // the tone is half a second
        page.send(frame, FRAME);
        next += 20_000_000;
        LockSupport.parkNanos(next - System.nanoTime());
      }
      server.kill();
    }
  }

  private static JsonNode awaitMessage(Client owner) {
    long until = System.nanoTime() + PATIENCE_NANOS;
    while (System.nanoTime() < until) {
      JsonNode messages = owner.get("/api/voicemail").body().get("messages");
      if (!messages.isEmpty()) {
        return messages.get(0);
      }
      LockSupport.parkNanos(200_000_000);
    }
    throw new AssertionError("no message");
  }
}
