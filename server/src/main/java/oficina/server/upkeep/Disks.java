package oficina.server.upkeep;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
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
  private final Disk disk;

  /**
   * @param recordings empty where they end with the process
   */
  Disks(@Value("${oficina.recordings}") String recordings, Disk disk) {
    spools = Path.of(recordings.isBlank() ? System.getProperty("java.io.tmpdir") : recordings);
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
    try (Stream<Path> all = Files.walk(spools)) {
      return all.filter(Files::isRegularFile).mapToLong(Disks::size).sum();
    } catch (IOException | java.io.UncheckedIOException e) {
      return 0;
    }
  }

  private static long size(Path file) {
    try {
      return Files.size(file);
    } catch (NoSuchFileException e) {
      return 0; // filed meanwhile
    } catch (IOException e) {
      return 0;
    }
  }
}
