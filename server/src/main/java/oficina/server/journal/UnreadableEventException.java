package oficina.server.journal;

/** The journal holds an event that this version cannot read; what to do stands in its message. */
public final class UnreadableEventException extends RuntimeException {
  private static final long serialVersionUID = 1;

  UnreadableEventException(String message) {
    super(message + ". It was written by a later version: start that one.");
  }
}
