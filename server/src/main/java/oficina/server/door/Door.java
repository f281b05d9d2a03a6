package oficina.server.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
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

  /** Files that are put where they belong. */
  private static final List<MediaType> FILES =
      List.of(
          new MediaType("audio", "wav"),
          MediaType.IMAGE_JPEG,
          MediaType.IMAGE_PNG,
          MediaType.IMAGE_GIF,
          new MediaType("text", "vcard"),
          new MediaType("text", "csv"),
          new MediaType("text", "calendar"));

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
    chain.doFilter(new LimitedBody(request, limit(request)), response);
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

  /** Pages of other sites ask for nothing here, and open no socket (RFC 6454). */
  private static void checkOrigin(HttpServletRequest request) {
    String origin = request.getHeader(HttpHeaders.ORIGIN);
    if (origin == null) {
      return;
    }
    String scheme = request.isSecure() ? "https" : "http";
    if (!origin.equals(scheme + "://" + request.getHeader(HttpHeaders.HOST))) {
      throw new Problem(HttpStatus.FORBIDDEN, "OTHER_ORIGIN");
    }
  }

  private void checkBody(HttpServletRequest request) {
    long length = request.getContentLengthLong();
    if (length > limit(request)) {
      throw LimitedBody.tooLarge(limit(request));
    }
    boolean hasBody = length > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    if (hasBody
        && !SAFE.contains(request.getMethod())
        && !isUpload(request)
        && !isSignedForm(request)
        && !is(MediaType.APPLICATION_JSON, request)) {
      throw new Problem(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "NOT_JSON");
    }
  }

  private long limit(HttpServletRequest request) {
    return (isUpload(request) ? limits.upload() : limits.body()).toBytes();
  }

  /** Files are put where they belong, by whoever may; other sites cannot do so. */
  private static boolean isUpload(HttpServletRequest request) {
    return request.getMethod().equals("PUT") && FILES.stream().anyMatch(type -> is(type, request));
  }

  /** An identity provider says in the form of its trade, signed, who has signed out there. */
  private static boolean isSignedForm(HttpServletRequest request) {
    return request.getRequestURI().equals("/api/session/provider/signed-out")
        && is(MediaType.APPLICATION_FORM_URLENCODED, request);
  }

  private static boolean is(MediaType wanted, HttpServletRequest request) {
    try {
      String type = request.getContentType();
      return MediaType.parseMediaType(type == null ? "" : type).equalsTypeAndSubtype(wanted);
    } catch (InvalidMediaTypeException e) {
      return false;
    }
  }
}
