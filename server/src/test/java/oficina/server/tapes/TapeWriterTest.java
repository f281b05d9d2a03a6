package oficina.server.tapes;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Party;
import oficina.core.people.PersonId;
import oficina.core.sound.Pcm;
import oficina.server.keeping.Disk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Recording while the disk takes nothing for longer than sound waits for it. */
class TapeWriterTest {
  private static final Instant NOW = Instant.parse("2026-11-30T09:00:00Z");
  private static final int WAITING = 2_000;

  @TempDir Path all;

  private static void speak(TapeWriter writer, int seconds) {
    short[] frame = new short[Pcm.FRAME];
    for (int i = 0; i < seconds * Pcm.RATE / Pcm.FRAME; i++) {
      writer.take(frame, frame);
    }
  }

  @Test
  void what_is_lost_is_marked_where_it_would_be() throws IOException {
    TapeSpool spool = new TapeSpool(all.toString(), new Disk());
    Party other = new Party.Employee(new PersonId(2));
    TapeLabel label =
        new TapeLabel("place", new CallId("c1"), 1, new PersonId(1), other, null, NOW);
    TapeWriter writer = new TapeWriter(spool, label, 0, NOW);
    Path calls = all.resolve("calls");
    Files.delete(calls);
    Files.writeString(calls, "no directory");
    speak(writer, WAITING + 3);
    Files.delete(calls);
    Files.createDirectory(calls);
    assertThat(spool.length("place")).isEqualTo(WAITING * 2L * Pcm.RATE);
    speak(writer, 2);
    writer.finish();
    assertThat(spool.marks("place"))
        .isEqualTo(List.of(new Mark(Mark.Kind.LOST, WAITING * 1_000L, 3_000, "")));
    assertThat(spool.length("place")).isEqualTo((WAITING + 2) * 2L * Pcm.RATE);
  }
}
