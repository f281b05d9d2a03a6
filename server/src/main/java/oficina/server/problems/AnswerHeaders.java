package oficina.server.problems;

import java.util.LinkedHashMap;
import java.util.Map;

/** What browsers are told with each answer to guard against, also by whoever refuses first. */
public final class AnswerHeaders {
  /** A page takes nothing from anywhere else, is in nobody's frame, and runs what it came with. */
  public static final String CONTENT_SECURITY_POLICY =
      "default-src 'self'; style-src 'self' 'unsafe-inline'; media-src 'self' blob:;"
          + " img-src 'self' data:; font-src 'self' data:;"
          + " object-src 'none'; base-uri 'none';"
          + " form-action 'self'; frame-ancestors 'none'";

  private AnswerHeaders() {}

  /** Those of a refusal, which is for nobody to keep. */
  public static Map<String, String> ofRefusal() {
    Map<String, String> headers = new LinkedHashMap<>();
    headers.put("Content-Security-Policy", CONTENT_SECURITY_POLICY);
    headers.put("X-Content-Type-Options", "nosniff");
    headers.put("X-Frame-Options", "DENY");
    headers.put("Referrer-Policy", "no-referrer");
    headers.put("Cache-Control", "no-store");
    return headers;
  }
}
