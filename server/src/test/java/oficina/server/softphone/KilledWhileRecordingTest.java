package oficina.server.softphone;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import oficina.core.sound.BadSoundException;
import oficina.core.sound.G711;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.core.tones.Goertzel;
import oficina.server.Client;
import oficina.server.ServerProcess;
import oficina.server.tapes.TapeWriter;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What was said before the server was killed is there after its restart, but for a second. */
class KilledWhileRecordingTest {
  private static final int HERTZ = 900;
  private static final int SPOKEN_SECONDS = 3;
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
      server.database().set("unattended", "5"); // the caller does not come back
      server.start();
      leaveAMessageAndDieInTheMiddle(server);
      server.start();
      try (Client tomasz = Client.withoutPage(server.address(), "tomasz")) {
        JsonNode message = awaitMessage(tomasz);
        assertThat(message.get("length").asLong()).isGreaterThan(SPOKEN_SECONDS * 1_000L - 100);
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
      String call = ines.post("/api/calls", placed).done().get("id").asString();
      tomasz.service(call, "decline");
      ines.service(call, "to-mailbox");
      ines.awaitCall("MESSAGE");
      ines.post("/api/calls/" + call + "/digits", Map.of("digits", "#")); // no greeting
      speakUntilKept(page, server, /* channels= */ 1, SPOKEN_SECONDS);
      server.kill();
    }
  }

  /**
   * Sends a tone until so much more of what was recorded is on the disk, however long that takes.
   */
  private static void speakUntilKept(TestPage page, ServerProcess server, int channels, int seconds)
      throws IOException {
    byte[] frame = frame();
    long next = System.nanoTime();
    long enough = kept(server) + (long) seconds * Pcm.RATE * channels;
    while (kept(server) < enough) {
      page.send(frame, FRAME);
      next += 20_000_000;
      LockSupport.parkNanos(next - System.nanoTime());
    }
  }

  /** How many bytes of sound are in the files of what is being recorded. */
  private static long kept(ServerProcess server) throws IOException {
    long bytes = 0;
    try (Stream<Path> files = Files.walk(server.database().beside("recordings"))) {
      for (Path file : files.filter(each -> each.toString().endsWith(".alaw")).toList()) {
        bytes += Files.size(file);
      }
    }
    return bytes;
  }

  private static JsonNode awaitMessage(Client owner) {
    return await(owner, "/api/voicemail", "messages");
  }

  /** The first of a list, as soon as it is there. */
  private static JsonNode await(Client owner, String path, String list) {
    long until = System.nanoTime() + PATIENCE_NANOS;
    while (System.nanoTime() < until) {
      JsonNode all = owner.get(path).body().get(list);
      if (!all.isEmpty()) {
        return all.get(0);
      }
      LockSupport.parkNanos(200_000_000);
    }
    throw new AssertionError("nothing in " + path);
  }

  @Test
  void a_recorded_call_goes_on_being_recorded_after_the_restart()
      throws IOException, BadSoundException {
    try (ServerProcess server = new ServerProcess()) {
      server.start();
      try (Client ines = Client.signedIn(server.address(), "ines");
          Client tomasz = Client.signedIn(server.address(), "tomasz")) {
        String call = talk(server, ines, tomasz);
        server.start();
        JsonNode tape = ines.connect().get("calls").get(0).get("tape");
        tomasz.connect();
        assertThat(tape.get("on").asBoolean()).as("it goes on").isTrue();
        speak(server, ines, 2 * SPOKEN_SECONDS);
        ines.service(call, "clear");
        JsonNode recording = await(ines, "/api/recordings", "recordings");
        assertThat(recording.get("length").asLong())
            .isGreaterThan(2 * SPOKEN_SECONDS * 1_000L - 500);
        byte[] file =
            ines.bytes("/api/recordings/" + recording.get("id").asLong() + "/sound").body();
        short[] samples = Wav.read(file, Duration.ofMinutes(3)); // both sides in one
        assertThat(spoken(samples)).isGreaterThan(SPOKEN_SECONDS + 2);
      }
    }
  }

  /** In how many seconds the tone is heard. Before and after it there may be silence. */
  private static long spoken(short[] samples) {
    return IntStream.range(0, samples.length / Pcm.RATE)
        .filter(
            second -> Goertzel.amplitude(samples, second * Pcm.RATE, Pcm.RATE / 2, HERTZ) > 0.05)
        .count();
  }

  /** They talk, Ines' part is recorded, and the server dies in the middle. */
  private static String talk(ServerProcess server, Client ines, Client tomasz) throws IOException {
    Map<String, String> placed = Map.of("device", "window", "to", "221");
    String call = ines.post("/api/calls", placed).done().get("id").asString();
    tomasz.service(call, "answer");
    ines.awaitCall("TALKING");
    assertThat(ines.service(call, "record").status()).isEqualTo(204);
    speak(server, ines, SPOKEN_SECONDS);
    server.kill();
    return call;
  }

  /** Ines' page sends a tone until so much of the call is kept. */
  private static void speak(ServerProcess server, Client ines, int seconds) throws IOException {
    try (TestPage page = new TestPage()) {
      Map<String, String> offer = Map.of("device", "window", "sdp", page.offer(/* opus= */ false));
      page.answered(ines.post("/api/softphone", offer).body().get("sdp").asString());
      page.connect();
      speakUntilKept(page, server, TapeWriter.CHANNELS, seconds);
    }
  }
}
