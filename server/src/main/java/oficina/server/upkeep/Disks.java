package oficina.server.upkeep;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import oficina.core.upkeep.Condition;
import oficina.server.keeping.Disk;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The disk on which messages and recordings wait to be filed, and how much waits there. */
@Component
class Disks {
  private final Path spools;
  private final boolean kept;
  private final Disk disk;

  /**
   * @param recordings empty where they end with the process
   */
  Disks(@Value("${oficina.recordings}") String recordings, Disk disk) {
    kept = !recordings.isBlank();
    spools = Path.of(kept ? recordings : System.getProperty("java.io.tmpdir"));
    this.disk = disk;
  }

  Condition.Disk now() {
    try {
      FileStore store = Files.getFileStore(spools);
      return new Condition.Disk(store.getUsableSpace(), store.getTotalSpace(), disk.refuses());
    } catch (IOException e) {
      return new Condition.Disk(0, 0, /* refuses= */ true);
    }
  }

  /** Bytes in files that the database does not have yet. */
  long waiting() {
    if (!kept) {
      return 0;
    }
    try (Stream<Path> all = Files.walk(spools)) {
      return all.filter(Files::isRegularFile).mapToLong(Disks::size).sum();
    } catch (IOException | UncheckedIOException e) {
      return 0;
    }
  }

  private static long size(Path file) {
    try {
      return Files.size(file);
    } catch (IOException e) {
      return 0; // filed meanwhile
    }
  }
}
