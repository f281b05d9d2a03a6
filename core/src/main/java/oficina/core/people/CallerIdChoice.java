package oficina.core.people;

/** Which number a called outsider is shown (ITU-T I.251.3, I.251.4). */
public enum CallerIdChoice {
  /** The caller's own number; the office's for somebody who has none. */
  DIRECT,
  /** The office's main number. */
  OFFICE,
  WITHHELD
}
