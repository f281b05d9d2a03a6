package oficina.server.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.List;
import oficina.core.call.CallId;
import oficina.core.call.Cause;
import oficina.core.events.TalkEvent.CallCleared;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Events that wait in a file for a database that is away. */
class WaitingFileTest {
  @TempDir private Path folder;
  private Path path;
  private WaitingFile file;

  @BeforeEach
  void reserved() {
    path = folder.resolve("waiting");
    file = anew();
    file.reserve();
  }

  private WaitingFile anew() {
    return new WaitingFile(path.toString());
  }

  private static Batch.Entry entry(long seq) {
    return new Batch.Entry(seq, new CallCleared(new CallId("c"), Instant.EPOCH, Cause.NORMAL));
  }

  @Test
  void they_are_read_after_a_restart_but_for_what_the_journal_has() {
    file.add(List.of(entry(4)));
    file.add(List.of(entry(5), entry(6)));
    assertThat(anew().read(4)).containsExactly(entry(5), entry(6));
    file.clear();
    assertThat(anew().read(0)).isEmpty();
    file.add(List.of(entry(7)));
    assertThat(anew().read(0)).as("nothing of before").containsExactly(entry(7));
  }

  @Test
  void what_was_read_in_and_could_not_be_written_again_is_there_once() {
    file.add(List.of(entry(4), entry(5)));
    WaitingFile next = anew();
    next.add(next.read(3));
    next.add(List.of(entry(6)));
    assertThat(anew().read(3)).containsExactly(entry(4), entry(5), entry(6));
  }

  @Test
  void a_line_that_was_being_written_does_not_count_and_the_room_is_kept() throws Exception {
    file.add(List.of(entry(4)));
    long size = Files.size(path);
    file.add(List.of(entry(5)));
    assertThat(Files.size(path)).as("written into the room taken before").isEqualTo(size);
    String half = "{\"seq\":9,";
    Path torn = folder.resolve("torn");
    Files.write(torn, firstLine().getBytes(StandardCharsets.UTF_8));
    Files.write(torn, half.getBytes(StandardCharsets.UTF_8), StandardOpenOption.APPEND);
    assertThat(new WaitingFile(torn.toString()).read(0)).containsExactly(entry(4));
  }

  private String firstLine() throws Exception {
    String all = Files.readString(path);
    return all.substring(0, all.indexOf('\n') + 1);
  }
}
