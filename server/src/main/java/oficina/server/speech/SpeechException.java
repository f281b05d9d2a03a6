package oficina.server.speech;

/** Sound could not be written down. */
public class SpeechException extends Exception {
  private static final long serialVersionUID = 1;

  public SpeechException(String message) {
    super(message);
  }
}
