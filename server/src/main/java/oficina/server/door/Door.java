package oficina.server.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Set;
import oficina.server.problems.Problem;
import oficina.server.problems.Problems;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** The first that sees a request, and refuses what nobody with a browser would send. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Door extends OncePerRequestFilter {
  private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS");

  private final Limits limits;
  private final Problems problems;

  Door(Limits limits, Problems problems) {
    this.limits = limits;
    this.problems = problems;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      checkAddress(request);
      checkOrigin(request);
      checkBody(request);
    } catch (Problem problem) {
      problems.write(response, problem);
      return;
    }
    chain.doFilter(new LimitedBody(request, limits.body().toBytes()), response);
  }

  private void checkAddress(HttpServletRequest request) {
    String query = request.getQueryString();
    int length = request.getRequestURI().length() + (query == null ? 0 : query.length());
    if (length > limits.address()) {
      throw new Problem(
          HttpStatus.URI_TOO_LONG,
          "ADDRESS_TOO_LONG",
          Map.of("limit", Integer.toString(limits.address())));
    }
    if (!Texts.allowedEncoded(request.getRequestURI())
        || (query != null && !Texts.allowedEncoded(query))) {
      throw new Problem(HttpStatus.BAD_REQUEST, "ADDRESS_MALFORMED");
    }
  }

  /**
   * Pages of other sites ask for nothing here, and open no socket (RFC 6454). The scheme does not
   * count: TLS may end in front of this server.
   */
  private static void checkOrigin(HttpServletRequest request) {
    String origin = request.getHeader(HttpHeaders.ORIGIN);
    if (origin == null) {
      return;
    }
    int authority = origin.indexOf("://");
    if (authority < 0
        || !origin.substring(authority + 3).equals(request.getHeader(HttpHeaders.HOST))) {
      throw new Problem(HttpStatus.FORBIDDEN, "OTHER_ORIGIN");
    }
  }

  private void checkBody(HttpServletRequest request) {
    long length = request.getContentLengthLong();
    if (length > limits.body().toBytes()) {
      throw LimitedBody.tooLarge(limits.body().toBytes());
    }
    boolean hasBody = length > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    if (hasBody && !SAFE.contains(request.getMethod()) && !isJson(request.getContentType())) {
      throw new Problem(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "NOT_JSON");
    }
  }

  private static boolean isJson(String type) {
    try {
      MediaType sent = MediaType.parseMediaType(type == null ? "" : type);
      return sent.equalsTypeAndSubtype(MediaType.APPLICATION_JSON);
    } catch (InvalidMediaTypeException e) {
      return false;
    }
  }
}
