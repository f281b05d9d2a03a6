package oficina.core.upkeep;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * How the installation stands at one moment.
 *
 * @param databaseAway whether the database does not answer
 * @param soundRuns whether calls can be heard
 * @param disk where messages and recordings wait to be filed
 * @param backups what is kept elsewhere
 * @param certificateEnds last moment at which browsers take the certificate; null without TLS
 */
public record Condition(
    boolean databaseAway,
    boolean soundRuns,
    Disk disk,
    Backups backups,
    @Nullable Instant certificateEnds) {
  /** Below this part of the disk being free there is an alarm. */
  private static final double LEAST_FREE = 0.1;

  /** A backup each night may fail once and be late. */
  private static final Duration BACKUP_LASTS = Duration.ofDays(2);

  private static final Duration CERTIFICATE_WARNING = Duration.ofDays(14);

  /**
   * A disk.
   *
   * @param free bytes that this server can still write
   * @param total bytes in all; 0 when that cannot be told
   * @param refuses whether it has refused what was last written
   */
  public record Disk(long free, long total, boolean refuses) {
    boolean low() {
      return free < LEAST_FREE * total;
    }
  }

  /**
   * Backups.
   *
   * @param wanted whether the office needs any: invented ones do not
   * @param last when the last one was made; null for never
   */
  public record Backups(boolean wanted, @Nullable Instant last) {}

  /** What has to be done something about at this moment, the most urgent first. */
  public Set<Alarm> alarms(Instant now) {
    Set<Alarm> alarms = EnumSet.noneOf(Alarm.class);
    if (databaseAway) {
      alarms.add(Alarm.DATABASE_AWAY);
    }
    if (disk.refuses()) {
      alarms.add(Alarm.DISK_REFUSES);
    } else if (disk.low()) {
      alarms.add(Alarm.DISK_LOW);
    }
    if (!soundRuns) {
      alarms.add(Alarm.NO_SOUND);
    }
    if (backups.last() != null && backups.last().isBefore(now.minus(BACKUP_LASTS))) {
      alarms.add(Alarm.BACKUP_OLD);
    } else if (backups.last() == null && backups.wanted()) {
      alarms.add(Alarm.NO_BACKUP);
    }
    if (certificateEnds != null && certificateEnds.isBefore(now.plus(CERTIFICATE_WARNING))) {
      alarms.add(Alarm.CERTIFICATE_ENDS);
    }
    return alarms;
  }
}
