package oficina.core.sound;

/** A file of sound that cannot be used; the reason says what to do about it. */
public final class BadSoundException extends Exception {
  private static final long serialVersionUID = 1;

  /** What is wrong with it. */
  public enum Reason {
    /** It is no WAV file at all. */
    NOT_WAV,
    /** It is one, but what is in it is compressed in a way that is not read here. */
    COMPRESSED,
    /** It ends too early, or says things about itself that cannot be. */
    DAMAGED,
    /** There is no sound in it. */
    EMPTY,
    TOO_LONG
  }

  private final Reason reason;

  BadSoundException(Reason reason) {
    super(reason.name());
    this.reason = reason;
  }

  public Reason reason() {
    return reason;
  }
}
