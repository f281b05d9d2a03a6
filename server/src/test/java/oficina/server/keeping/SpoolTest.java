package oficina.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Ten recordings, and a disk that takes nothing for a while: its directory is gone. */
class SpoolTest {
  private static final int RECORDINGS = 10;
  private static final byte[] SECOND = new byte[100];

  @TempDir Path all;

  private final BlockingQueue<Boolean> told = new LinkedBlockingQueue<>();
  private final Disk disk = new Disk();
  private Spool<String, String> spool;

  @BeforeEach
  void spool() throws IOException {
    disk.onChange(() -> told.add(disk.refuses()));
    spool = new Spool<>(all.toString(), "calls", String.class, String.class, disk);
  }

  private void takesNothing() throws IOException {
    Files.move(all.resolve("calls"), all.resolve("away"));
    Files.writeString(all.resolve("calls"), "no directory");
  }

  private void takesAgain() throws IOException {
    Files.delete(all.resolve("calls"));
    Files.move(all.resolve("away"), all.resolve("calls"));
  }

  @Test
  void what_it_refuses_waits_in_its_order_and_it_is_told_once() throws Exception {
    for (int i = 0; i < RECORDINGS; i++) {
      spool.begin("r" + i, "Ines");
      spool.append("r" + i, SECOND);
    }
    assertThat(spool.length("r9")).isEqualTo(100);
    takesNothing();
    for (int i = 0; i < RECORDINGS; i++) {
      spool.append("r" + i, new byte[] {(byte) i});
      spool.mark("r" + i, "first");
      spool.begin("r" + i, "Tomasz");
      spool.mark("r" + i, "second");
    }
    spool.begin("late", "Adaeze");
    spool.remove("r0");
    assertThat(told.poll(20, TimeUnit.SECONDS)).as("it refuses").isTrue();
    takesAgain();
    assertThat(spool.labels()).containsOnly("Tomasz", "Adaeze").hasSize(RECORDINGS);
    for (int i = 1; i < RECORDINGS; i++) {
      assertThat(spool.sound("r" + i)).hasSize(101).endsWith(i);
      assertThat(spool.marks("r" + i)).containsExactly("first", "second");
    }
    assertThat(spool.label("r0")).isNull();
    assertThat(told.poll(20, TimeUnit.SECONDS)).as("it takes again").isFalse();
    assertThat(told).isEmpty();
  }

  @Test
  void whose_something_is_stays_known_when_it_cannot_be_said_anew() throws Exception {
    spool.begin("place", "Ines");
    assertThat(spool.label("place")).isEqualTo("Ines");
    Files.createDirectory(all.resolve("calls/place.json.new"));
    spool.begin("place", "Tomasz");
    assertThat(told.poll(20, TimeUnit.SECONDS)).as("it refuses").isTrue();
    assertThat(Files.readString(all.resolve("calls/place.json"))).contains("Ines");
    Files.delete(all.resolve("calls/place.json.new"));
    assertThat(spool.label("place")).isEqualTo("Tomasz");
  }

  @Test
  void so_much_sound_waits_and_no_more_and_whose_it_is_is_not_lost() throws Exception {
    takesNothing();
    List<Boolean> taken = new ArrayList<>();
    for (int i = 0; i < 3_000; i++) {
      taken.add(spool.append("place", SECOND));
    }
    spool.begin("place", "Ines");
    assertThat(taken.subList(0, 2_000)).containsOnly(true);
    assertThat(taken.subList(2_000, 3_000)).containsOnly(false);
    takesAgain();
    assertThat(spool.length("place")).isEqualTo(200_000);
    assertThat(spool.label("place")).isEqualTo("Ines");
    assertThat(spool.append("place", SECOND)).as("it goes on").isTrue();
  }
}
