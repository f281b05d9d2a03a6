package oficina.server;

import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.JWSAlgorithm;
import com.nimbusds.jose.JWSHeader;
import com.nimbusds.jose.crypto.RSASSASigner;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.RSAKey;
import com.nimbusds.jose.jwk.gen.RSAKeyGenerator;
import com.nimbusds.jwt.JWTClaimsSet;
import com.nimbusds.jwt.SignedJWT;
import com.nimbusds.oauth2.sdk.util.URLUtils;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Base64;
import java.util.Date;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import tools.jackson.databind.json.JsonMapper;

/** A small identity provider: whoever comes is the one person it has. */
public final class PlayedProvider implements AutoCloseable {
  private static final String OFFICE = "oficina";
  private static final String SECRET = "known to two";

  private final HttpServer server;
  private final RSAKey key;
  private final Map<String, Map<String, List<String>>> begun = new ConcurrentHashMap<>();

  /** By which its tokens are signed; its own key as a rule. */
  RSAKey signs;

  /** Whom it vouches for. */
  Map<String, Object> person = Map.of("sub", "nobody yet");

  /** For whom its tokens are. */
  String audience = OFFICE;

  public PlayedProvider() {
    try {
      key = new RSAKeyGenerator(2048).keyID("one").generate();
      signs = key;
      server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    } catch (IOException | JOSEException e) {
      throw new AssertionError(e);
    }
    server.createContext("/.well-known/openid-configuration", this::metadata);
    server.createContext("/keys", http -> json(http, new JWKSet(key).toJSONObject()));
    server.createContext("/ask", this::ask);
    server.createContext("/token", this::token);
    server.start();
  }

  /** Where it is. */
  public String issuer() {
    return "http://127.0.0.1:" + server.getAddress().getPort();
  }

  /** What an administrator writes down of it. */
  public Map<String, Object> settings(String unknown) {
    return Map.of(
        "issuer", issuer(),
        "clientId", OFFICE,
        "secret", SECRET,
        "called", "Isles Account",
        "unknown", unknown);
  }

  /** From now on it vouches for this one. */
  public void vouchFor(String subject, String mail, String name) {
    person = Map.of("sub", subject, "email", mail, "email_verified", true, "name", name);
  }

  private void metadata(HttpExchange http) throws IOException {
    json(
        http,
        Map.of(
            "issuer", issuer(),
            "authorization_endpoint", issuer() + "/ask",
            "token_endpoint", issuer() + "/token",
            "jwks_uri", issuer() + "/keys",
            "response_types_supported", List.of("code"),
            "subject_types_supported", List.of("public"),
            "id_token_signing_alg_values_supported", List.of("RS256")));
  }

  /** Nobody is asked anything: they are sent back at once. */
  private void ask(HttpExchange http) throws IOException {
    Map<String, List<String>> asked = URLUtils.parseParameters(http.getRequestURI().getRawQuery());
    String code = UUID.randomUUID().toString();
    begun.put(code, asked);
    http.getResponseHeaders()
        .add(
            "Location",
            asked.get("redirect_uri").get(0)
                + "?code="
                + code
                + "&state="
                + asked.get("state").get(0));
    http.sendResponseHeaders(302, -1);
    http.close();
  }

  private void token(HttpExchange http) throws IOException {
    String shown = http.getRequestHeaders().getFirst("Authorization");
    String wanted =
        Base64.getEncoder()
            .encodeToString(
                (OFFICE + ":" + SECRET.replace(' ', '+')).getBytes(StandardCharsets.UTF_8));
    Map<String, List<String>> form =
        URLUtils.parseParameters(
            new String(http.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
    Map<String, List<String>> asked = begun.remove(form.get("code").get(0));
    if (asked == null || !("Basic " + wanted).equals(shown) || !form.containsKey("code_verifier")) {
      http.sendResponseHeaders(401, -1);
      http.close();
      return;
    }
    JWTClaimsSet.Builder claims = claims().claim("nonce", asked.get("nonce").get(0));
    person.forEach(claims::claim);
    json(
        http,
        Map.of(
            "access_token", "worth nothing", "token_type", "Bearer", "id_token", signed(claims)));
  }

  private JWTClaimsSet.Builder claims() {
    Instant now = Instant.now();
    return new JWTClaimsSet.Builder()
        .issuer(issuer())
        .audience(audience)
        .issueTime(Date.from(now))
        .expirationTime(Date.from(now.plusSeconds(60)));
  }

  private String signed(JWTClaimsSet.Builder claims) {
    try {
      JWSHeader header = new JWSHeader.Builder(JWSAlgorithm.RS256).keyID("one").build();
      SignedJWT token = new SignedJWT(header, claims.build());
      token.sign(new RSASSASigner(signs));
      return token.serialize();
    } catch (JOSEException e) {
      throw new AssertionError(e);
    }
  }

  /** That this one has signed out here. */
  String signedOut(String subject) {
    String event = "http://schemas.openid.net/event/backchannel-logout";
    return signed(
        claims()
            .subject(subject)
            .jwtID(UUID.randomUUID().toString())
            .claim("events", Map.of(event, Map.of())));
  }

  private static void json(HttpExchange http, Map<String, Object> body) throws IOException {
    byte[] bytes = JsonMapper.shared().writeValueAsBytes(body);
    http.getResponseHeaders().add("Content-Type", "application/json");
    http.sendResponseHeaders(200, bytes.length);
    http.getResponseBody().write(bytes);
    http.close();
  }

  @Override
  public void close() {
    server.stop(0);
  }
}
