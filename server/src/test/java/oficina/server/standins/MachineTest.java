package oficina.server.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import oficina.core.call.DeviceId;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.Client;
import oficina.server.TestServer;
import oficina.server.sound.EndId;
import oficina.server.sound.SoundEnd;
import oficina.server.sound.SoundEngine;
import oficina.server.speech.SpeechException;
import oficina.server.speech.Transcriber;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A machine at the far end answers to each key with its own words: they are listened to. */
@ExtendWith(TestServer.class)
class MachineTest {
  private static final String WEATHER = "0114 496 0155";
  private static final int MOST = 60 * Pcm.RATE;
  private static final Duration PATIENCE = Duration.ofSeconds(90);

  private final TestServer server = TestServer.get();

  /** Hears, and keeps what it has heard. */
  private static final class Memory implements SoundEnd {
    private final short[] heard = new short[MOST];
    private int length;

    @Override
    public boolean speak(short[] frame) {
      return false;
    }

    @Override
    public synchronized void hear(short[] frame) {
      int count = Math.min(frame.length, MOST - length);
      System.arraycopy(frame, 0, heard, length, count);
      length += count;
    }

    synchronized void forget() {
      length = 0;
    }

    synchronized short[] soFar() {
      return Arrays.copyOf(heard, length);
    }
  }

  /** Listens until these words have been said, however long the voice takes. */
  private void hears(Memory memory, String... words) throws SpeechException {
    Instant end = Instant.now().plus(PATIENCE);
    String said = "";
    while (!Stream.of(words).allMatch(said::contains) && Instant.now().isBefore(end)) {
      LockSupport.parkNanos(1_000_000_000L);
      said =
          server.bean(Transcriber.class).listen(memory.soFar(), List.of()).stream()
              .map(Transcriber.Word::text)
              .collect(Collectors.joining(" "));
    }
    assertThat(said).contains(words);
  }

  @Test
  void each_key_is_answered_in_words_of_its_own() throws SpeechException {
    Memory memory = new Memory();
    server
        .bean(SoundEngine.class)
        .attach(new EndId.Device(new PersonId(1), new DeviceId("test")), memory);
    try (Client ines = Client.signedIn("ines")) {
      String call = ines.call(WEATHER);
      server.clock().advance(Duration.ofSeconds(1));
      ines.awaitCall("CALLING");
      server.clock().advance(Duration.ofSeconds(3));
      ines.awaitCall("TALKING");
      press("2", call, ines, memory);
      hears(memory, "monday", "friday");
      press("0", call, ines, memory);
      hears(memory, "thank you for calling");
      server.clock().advance(Duration.ofSeconds(3));
      ines.awaitNoCalls();
    }
  }

  private static void press(String key, String call, Client ines, Memory memory) {
    memory.forget();
    assertThat(ines.post("/api/calls/" + call + "/digits", Map.of("digits", key)).status())
        .isEqualTo(204);
  }
}
