package oficina.server.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;
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
  private static final int MOST = 20 * Pcm.RATE;

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

    synchronized short[] take() {
      short[] taken = Arrays.copyOf(heard, length);
      length = 0;
      return taken;
    }
  }

  private String words(Memory memory) throws SpeechException {
    memory.take();
    LockSupport.parkNanos(5_500_000_000L); // a voice takes its time
    return server.bean(Transcriber.class).listen(memory.take(), List.of()).stream()
        .map(Transcriber.Word::text)
        .collect(Collectors.joining(" "));
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
      assertThat(afterKey("2", call, ines, memory)).contains("monday").contains("friday");
      assertThat(afterKey("0", call, ines, memory)).contains("thank you for calling");
      server.clock().advance(Duration.ofSeconds(3));
      ines.awaitNoCalls();
    }
  }

  private String afterKey(String key, String call, Client ines, Memory memory)
      throws SpeechException {
    assertThat(ines.post("/api/calls/" + call + "/digits", Map.of("digits", key)).status())
        .isEqualTo(204);
    return words(memory);
  }
}
