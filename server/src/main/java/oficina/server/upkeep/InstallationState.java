package oficina.server.upkeep;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How the installation stands.
 *
 * @param started when this server was started
 * @param lastBackup absent when there was none
 * @param certificateEnds absent without TLS
 * @param refused what was refused since the server started
 */
record InstallationState(
    Instant started,
    Use use,
    Written written,
    Heard heard,
    Room room,
    @Schema(nullable = true) @Nullable Instant lastBackup,
    @Schema(nullable = true) @Nullable Instant certificateEnds,
    Version version,
    List<Refused> refused) {

  /**
   * What is in use.
   *
   * @param outsideLines taken by calls
   * @param outsideLinesAll how many there are
   * @param pages that are connected
   */
  record Use(int calls, int outsideLines, int outsideLinesAll, int pages) {}

  /**
   * What happens at the exchange, on its way to the database.
   *
   * @param away whether the database does not answer
   * @param waiting commands that are not written yet
   * @param refused commands that the database would not have
   */
  record Written(boolean away, int waiting, int refused) {}

  /**
   * Sound.
   *
   * @param runs whether calls can be heard
   * @param connections pages and telephones with sound
   * @param frames pieces of 20 ms since the server started
   * @param late those of them that began more than 20 ms late
   */
  record Heard(boolean runs, int connections, long frames, long late) {}

  /**
   * Disk, in bytes.
   *
   * @param waiting what lies in files until the database has it
   */
  record Room(long free, long total, long waiting) {}

  /**
   * What runs here.
   *
   * @param schema number of the last change to the database
   */
  record Version(String oficina, String java, String database, String schema) {}

  /**
   * Something that was refused.
   *
   * @param what code of a problem, or of something at the port for sound
   */
  record Refused(String what, long count) {}
}
