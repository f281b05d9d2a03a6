package oficina.server.problems;

import java.util.Map;
import org.springframework.http.HttpStatus;

/** A request cannot be carried out; becomes a problem document (RFC 9457). */
public class Problem extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final HttpStatus status;
  private final String code;
  private final transient Map<String, String> about;
  private final int retryAfter;

  /**
   * @param code key of the sentence in the catalogue of words, under {@code problem}
   * @param about what the sentence speaks of
   */
  public Problem(HttpStatus status, String code, Map<String, String> about) {
    this(status, code, about, 0);
  }

  private Problem(HttpStatus status, String code, Map<String, String> about, int retryAfter) {
    super(code);
    this.status = status;
    this.code = code;
    this.about = about;
    this.retryAfter = retryAfter;
  }

  public Problem(HttpStatus status, String code) {
    this(status, code, Map.of());
  }

  /** Too many of something (RFC 6585): to be tried again after so many seconds. */
  public static Problem tooMany(String code, int seconds) {
    return new Problem(
        HttpStatus.TOO_MANY_REQUESTS, code, Map.of("seconds", Integer.toString(seconds)), seconds);
  }

  /** What a bare status says. */
  public static Problem ofStatus(HttpStatus status) {
    String code =
        switch (status) {
          case NOT_FOUND -> "NOT_FOUND";
          case METHOD_NOT_ALLOWED, NOT_IMPLEMENTED -> "METHOD_NOT_ALLOWED";
          case FORBIDDEN -> "FORBIDDEN";
          default -> status.is5xxServerError() ? "UNEXPECTED" : "NOT_UNDERSTOOD";
        };
    return new Problem(status, code);
  }

  HttpStatus status() {
    return status;
  }

  public String code() {
    return code;
  }

  public Map<String, String> about() {
    return about;
  }

  /** Seconds after which it may be tried again; 0 when waiting does not help. */
  int retryAfter() {
    return retryAfter;
  }
}
