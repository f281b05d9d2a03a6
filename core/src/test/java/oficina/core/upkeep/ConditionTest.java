package oficina.core.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import oficina.core.upkeep.Condition.Backups;
import oficina.core.upkeep.Condition.Disk;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What an administrator is told about before it becomes trouble. */
class ConditionTest {
  private static final Instant NOW = Instant.parse("2026-12-01T09:00:00Z");
  private static final Disk ROOM = new Disk(50, 100, false);
  private static final Backups FRESH = new Backups(true, NOW.minus(Duration.ofHours(7)));

  @Test
  void nothingIsToBeDoneWhereAllIsWell() {
    assertThat(of(ROOM, FRESH, null).alarms(NOW)).isEmpty();
    assertThat(of(ROOM, new Backups(false, null), in(15)).alarms(NOW)).isEmpty();
  }

  @Test
  void ofADiskATenthIsToBeFree() {
    assertThat(of(new Disk(10, 100, false), FRESH, null).alarms(NOW)).isEmpty();
    assertThat(of(new Disk(9, 100, false), FRESH, null).alarms(NOW)).containsOnly(Alarm.DISK_LOW);
    assertThat(of(new Disk(9, 100, true), FRESH, null).alarms(NOW))
        .containsOnly(Alarm.DISK_REFUSES);
    assertThat(of(new Disk(0, 0, false), FRESH, null).alarms(NOW)).isEmpty();
  }

  @Test
  void aBackupMayBeTwoDaysOld() {
    assertThat(of(ROOM, new Backups(true, in(-2)), null).alarms(NOW)).isEmpty();
    assertThat(of(ROOM, new Backups(true, in(-2).minusSeconds(1)), null).alarms(NOW))
        .containsOnly(Alarm.BACKUP_OLD);
    assertThat(of(ROOM, new Backups(true, null), null).alarms(NOW)).containsOnly(Alarm.NO_BACKUP);
  }

  @Test
  void aCertificateIsToLastTwoWeeks() {
    assertThat(of(ROOM, FRESH, in(14)).alarms(NOW)).isEmpty();
    assertThat(of(ROOM, FRESH, in(14).minusSeconds(1)).alarms(NOW))
        .containsOnly(Alarm.CERTIFICATE_ENDS);
    assertThat(of(ROOM, FRESH, in(-1)).alarms(NOW)).containsOnly(Alarm.CERTIFICATE_ENDS);
  }

  @Test
  void theMostUrgentComesFirst() {
    Condition bad =
        new Condition(true, false, new Disk(1, 100, false), new Backups(true, null), in(1));

    assertThat(bad.alarms(NOW))
        .containsExactly(
            Alarm.DATABASE_AWAY,
            Alarm.DISK_LOW,
            Alarm.NO_SOUND,
            Alarm.NO_BACKUP,
            Alarm.CERTIFICATE_ENDS);
  }

  private static Condition of(Disk disk, Backups backups, @Nullable Instant certificateEnds) {
    return new Condition(false, true, disk, backups, certificateEnds);
  }

  private static Instant in(int days) {
    return NOW.plus(Duration.ofDays(days));
  }
}
