package oficina.server.problems;

import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;

/** A request cannot be carried out; becomes a problem document (RFC 9457). */
public class Problem extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final HttpStatus status;
  private final String code;
  private final transient Map<String, String> about;
  private final transient Map<String, String> headers;

  /**
   * @param code key of the sentence in the catalogue of words, under {@code problem}
   * @param about what the sentence speaks of
   */
  public Problem(HttpStatus status, String code, Map<String, String> about) {
    this(status, code, about, Map.of());
  }

  private Problem(
      HttpStatus status, String code, Map<String, String> about, Map<String, String> headers) {
    super(code);
    this.status = status;
    this.code = code;
    this.about = about;
    this.headers = headers;
  }

  public Problem(HttpStatus status, String code) {
    this(status, code, Map.of());
  }

  /** Too many of something (RFC 6585): to be tried again after so many seconds. */
  public static Problem tooMany(String code, int seconds) {
    return later(HttpStatus.TOO_MANY_REQUESTS, code, seconds);
  }

  /** No room for something now: to be tried again after so many seconds. */
  public static Problem busy(String code, int seconds) {
    return later(HttpStatus.SERVICE_UNAVAILABLE, code, seconds);
  }

  private static Problem later(HttpStatus status, String code, int seconds) {
    String after = Integer.toString(seconds);
    return new Problem(
        status, code, Map.of("seconds", after), Map.of(HttpHeaders.RETRY_AFTER, after));
  }

  /** A part was asked for that is not there (RFC 9110, 15.5.17). */
  public static Problem outOfRange(String unit, long length) {
    return new Problem(
        HttpStatus.REQUESTED_RANGE_NOT_SATISFIABLE,
        "NO_SUCH_PART",
        Map.of(),
        Map.of(HttpHeaders.CONTENT_RANGE, unit + " */" + length));
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

  /** What is said with it besides, as when it may be tried again. */
  Map<String, String> headers() {
    return headers;
  }
}
