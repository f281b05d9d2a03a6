package oficina.server.secrets;

/**
 * A sealed secret cannot be read: it was sealed by another key, or is not the one of this place.
 */
public class SecretLostException extends RuntimeException {
  private static final long serialVersionUID = 1;

  SecretLostException(Throwable cause) {
    super("A secret cannot be read: the file with the key is another one than before", cause);
  }
}
