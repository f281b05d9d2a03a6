package oficina.server.upkeep;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import oficina.core.upkeep.Condition;
import oficina.server.OficinaProperties;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * When the office was last backed up: whoever does it ({@code ./oficina backup}) leaves that in a
 * file.
 */
@Component
class Backups {
  private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

  private final @Nullable Path file;
  private final boolean wanted;

  Backups(@Value("${oficina.last-backup}") String file, OficinaProperties properties) {
    this.file = file.isBlank() ? null : Path.of(file);
    wanted = !properties.demo();
  }

  Condition.Backups now() {
    return new Condition.Backups(wanted, last());
  }

  private @Nullable Instant last() {
    if (file == null) {
      return null;
    }
    try {
      return Instant.parse(Files.readString(file).strip());
    } catch (NoSuchFileException e) {
      return null;
    } catch (IOException | DateTimeParseException e) {
      LOG.warn("{} does not say when the last backup was made", file, e);
      return null;
    }
  }
}
