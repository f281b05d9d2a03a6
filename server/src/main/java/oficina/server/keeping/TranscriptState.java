package oficina.server.keeping;

/** Whether what was said has been written down. Its names stand in the database. */
public enum TranscriptState {
  /** Nobody has asked for it. */
  NONE,
  WAITING,
  DONE,
  /** There can be none. */
  FAILED
}
