package oficina.core.call;

/** How the recording of a message ended. */
public enum MessageEnd {
  /** The caller hung up. */
  HUNG_UP,
  /** The caller said nothing more. */
  SILENCE,
  /** It was as long as a message may be. */
  LIMIT,
  /** The caller pressed the key that ends it. */
  KEY,
  /** Somebody took the caller out of the mailbox and speaks with them. */
  TAKEN
}
