package oficina.server.upkeep;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** What is seen of the installation, for machines that watch it. */
@RestController
class MetricsController {
  private static final String BEARER = "Bearer ";

  private final Meters meters;
  private final String token;

  /**
   * @param token of whoever watches; empty when administrators alone may see it
   */
  MetricsController(Meters meters, @Value("${oficina.metrics-token}") String token) {
    this.meters = meters;
    this.token = token;
  }

  /**
   * In the text format of OpenMetrics 1.0; for administrators, or with the token that this server
   * was started with (RFC 6750).
   */
  @GetMapping(path = "/api/metrics", produces = Meters.OPEN_METRICS)
  ResponseEntity<String> metrics(
      @AuthenticationPrincipal @Nullable Employee me,
      @RequestHeader(name = HttpHeaders.AUTHORIZATION, defaultValue = "") String authorization) {
    if (!isToken(authorization) && (me == null || !me.isAdministrator())) {
      throw me == null
          ? new Problem(HttpStatus.UNAUTHORIZED, "SIGNED_OUT")
          : new Problem(HttpStatus.FORBIDDEN, "NOT_ADMINISTRATOR");
    }
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, Meters.OPEN_METRICS)
        .body(meters.text());
  }

  /** Compared in a time that says nothing of how much of it is right. */
  private boolean isToken(String authorization) {
    return !token.isEmpty()
        && MessageDigest.isEqual(
            (BEARER + token).getBytes(StandardCharsets.UTF_8),
            authorization.getBytes(StandardCharsets.UTF_8));
  }
}
