package oficina.server.problems;

import java.util.Map;
import org.springframework.http.HttpStatus;

/** A request cannot be carried out; becomes a problem document (RFC 9457). */
public class Problem extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final HttpStatus status;
  private final String code;
  private final transient Map<String, String> about;

  /**
   * @param code key of the sentence in the catalogue of words, under {@code problem}
   * @param about what the sentence speaks of
   */
  public Problem(HttpStatus status, String code, Map<String, String> about) {
    super(code);
    this.status = status;
    this.code = code;
    this.about = about;
  }

  public Problem(HttpStatus status, String code) {
    this(status, code, Map.of());
  }

  HttpStatus status() {
    return status;
  }

  String code() {
    return code;
  }

  Map<String, String> about() {
    return about;
  }
}
