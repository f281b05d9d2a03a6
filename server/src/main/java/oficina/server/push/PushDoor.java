package oficina.server.push;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import oficina.core.call.DeviceId;
import oficina.server.door.Limits;
import oficina.server.door.TokenBuckets;
import oficina.server.problems.Problem;
import oficina.server.problems.Problems;
import oficina.server.signin.SignIn;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.http.server.ServletServerHttpResponse;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import org.springframework.web.socket.WebSocketHandler;
import org.springframework.web.socket.server.HandshakeInterceptor;
import org.springframework.web.util.UriComponentsBuilder;

/** Looks at pages before they connect: whether they may, and which window they are. */
@Component
class PushDoor implements HandshakeInterceptor {
  static final String SIGN_IN = "signIn";
  static final String DEVICE = "device";
  static final String ORIGIN = "origin";

  /** No window passes itself off as a desk phone. */
  private static final Pattern NAME = Pattern.compile("(?!phone-)[A-Za-z0-9-]{1,40}");

  private static final DeviceId UNNAMED = new DeviceId("window");
  private static final int TRY_AGAIN_SECONDS = 30;

  private final Pushes pushes;
  private final Limits limits;
  private final Problems problems;
  private final MovableClock clock;

  /** How often a sign-in connects: each time costs a whole picture. */
  private final TokenBuckets connecting = new TokenBuckets(30, 1);

  /** How often an origin does: enough for a whole office that comes back at once. */
  private final TokenBuckets arriving = new TokenBuckets(250, 25);

  PushDoor(Pushes pushes, Limits limits, Problems problems, MovableClock clock) {
    this.clock = clock;
    this.pushes = pushes;
    this.limits = limits;
    this.problems = problems;
  }

  @Override
  public boolean beforeHandshake(
      ServerHttpRequest request,
      ServerHttpResponse response,
      WebSocketHandler handler,
      Map<String, Object> attributes)
      throws IOException {
    Authentication signedIn = (Authentication) request.getPrincipal();
    SignIn signIn = SignIn.of(signedIn);
    String origin = ((ServletServerHttpRequest) request).getServletRequest().getRemoteAddr();
    try {
      mustBeHandshake(request.getHeaders());
      DeviceId device = device(request);
      mustNotBeTooMany(signIn, origin);
      attributes.putAll(Map.of(SIGN_IN, signIn, DEVICE, device, ORIGIN, origin));
      return true;
    } catch (Problem problem) {
      problems.write(((ServletServerHttpResponse) response).getServletResponse(), problem);
      return false;
    }
  }

  /** As RFC 6455 has it. */
  private static void mustBeHandshake(HttpHeaders headers) {
    if (!"websocket".equalsIgnoreCase(headers.getUpgrade())
        || !"13".equals(headers.getFirst("Sec-WebSocket-Version"))
        || headers.getFirst("Sec-WebSocket-Key") == null) {
      throw new Problem(HttpStatus.BAD_REQUEST, "NOT_A_SOCKET");
    }
  }

  /** The window the page says it is; one that says nothing rings all the same. */
  private static DeviceId device(ServerHttpRequest request) {
    List<String> named =
        UriComponentsBuilder.fromUri(request.getURI()).build().getQueryParams().get(DEVICE);
    if (named == null) {
      return UNNAMED;
    }
    String name = named.get(0);
    if (name == null || !NAME.matcher(name).matches() || !new DeviceId(name).isWindow()) {
      throw new Problem(HttpStatus.BAD_REQUEST, "FIELDS_WRONG", Map.of("fields", DEVICE));
    }
    return new DeviceId(name);
  }

  private void mustNotBeTooMany(SignIn signIn, String origin) {
    mustNotComeTooFast(connecting, signIn.id());
    mustNotComeTooFast(arriving, origin);
    long ofPerson = pushes.opened(signIn.employee().id()).size();
    if (ofPerson >= limits.socketsPerPerson()
        || pushes.opened(page -> page.origin().equals(origin)).size()
            >= limits.socketsPerOrigin()) {
      throw Problem.tooMany("TOO_MANY_PAGES", TRY_AGAIN_SECONDS);
    }
  }

  private void mustNotComeTooFast(TokenBuckets buckets, String key) {
    Duration wait = buckets.wait(key, clock.instant());
    if (!wait.isZero()) {
      throw Problem.tooMany("TOO_MANY_PAGES", (int) wait.toSeconds() + 1);
    }
    buckets.spend(key, clock.instant());
  }

  @Override
  public void afterHandshake(
      ServerHttpRequest request,
      ServerHttpResponse response,
      WebSocketHandler handler,
      @Nullable Exception e) {
    // Nothing is kept of it.
  }
}
