package oficina.core.people;

/** Which of somebody's calls are recorded, as far as the office leaves that to them. */
public enum RecordingChoice {
  EVERY_CALL,
  /** Those for which they say so. */
  ON_DEMAND,
  NEVER
}
