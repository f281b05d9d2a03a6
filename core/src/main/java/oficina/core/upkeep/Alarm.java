package oficina.core.upkeep;

/** What an administrator has to do something about. */
public enum Alarm {
  /** The database does not answer: what happens waits to be written to it. */
  DATABASE_AWAY,
  /** What is recorded waits for a disk that takes nothing, or is lost. */
  DISK_REFUSES,
  /** Little of the disk is left. */
  DISK_LOW,
  /** Nobody can be heard: the port for sound could not be opened. */
  NO_SOUND,
  /** The last backup is too long ago. */
  BACKUP_OLD,
  /** There never was a backup. */
  NO_BACKUP,
  /** Browsers will soon refuse the certificate. */
  CERTIFICATE_ENDS
}
