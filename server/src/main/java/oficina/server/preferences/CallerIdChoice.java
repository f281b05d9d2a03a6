package oficina.server.preferences;

/** Which number a called outsider is shown. */
public enum CallerIdChoice {
  /** The caller's own number. */
  DIRECT,
  /** The office's main number. */
  OFFICE,
  WITHHELD
}
