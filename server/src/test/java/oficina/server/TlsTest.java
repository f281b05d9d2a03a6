package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.math.BigInteger;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.Date;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.TimeUnit;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A server with a certificate of the office: everything goes by TLS, and nothing without. */
class TlsTest {
  private static X509Certificate certify(KeyPair pair) throws Exception {
    X500Name name = new X500Name("CN=127.0.0.1");
    Instant now = Instant.now();
    JcaX509v3CertificateBuilder builder =
        new JcaX509v3CertificateBuilder(
            name,
            BigInteger.ONE,
            Date.from(now.minus(Duration.ofHours(1))),
            Date.from(now.plus(Duration.ofHours(1))),
            name,
            pair.getPublic());
    builder.addExtension(
        Extension.subjectAlternativeName,
        false,
        new GeneralNames(new GeneralName(GeneralName.iPAddress, "127.0.0.1")));
    return new JcaX509CertificateConverter()
        .getCertificate(
            builder.build(new JcaContentSignerBuilder("SHA256withECDSA").build(pair.getPrivate())));
  }

  private static Path pem(Path file, String kind, byte[] encoded) throws IOException {
    String body = Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(encoded);
    return Files.writeString(
        file, "-----BEGIN " + kind + "-----\n" + body + "\n-----END " + kind + "-----\n");
  }

  private static SSLContext trusting(X509Certificate certificate) throws Exception {
    KeyStore store = KeyStore.getInstance(KeyStore.getDefaultType());
    store.load(null, null);
    store.setCertificateEntry("office", certificate);
    TrustManagerFactory trust =
        TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
    trust.init(store);
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(null, trust.getTrustManagers(), new SecureRandom());
    return context;
  }

  @Test
  void with_a_certificate_pages_sign_in_and_are_told_by_tls(@TempDir Path directory)
      throws Exception {
    KeyPair pair = KeyPairGenerator.getInstance("EC").generateKeyPair();
    X509Certificate certificate = certify(pair);
    Path certificateFile = pem(directory.resolve("c.pem"), "CERTIFICATE", certificate.getEncoded());
    Path keyFile = pem(directory.resolve("k.pem"), "PRIVATE KEY", pair.getPrivate().getEncoded());
    try (ServerProcess server =
        new ServerProcess(
            "--oficina.demo=true",
            "--oficina.demo-past=false",
            "--oficina.tls.certificate=" + certificateFile,
            "--oficina.tls.key=" + keyFile)) {
      server.start();
      String authority = URI.create(server.address()).getAuthority();
      HttpClient http =
          HttpClient.newBuilder()
              .sslContext(trusting(certificate))
              .cookieHandler(new CookieManager())
              .build();
      HttpResponse<String> asked = send(http, get(authority, "/api/session"));
      assertThat(asked.headers().allValues("set-cookie")).allMatch(each -> each.contains("Secure"));
      HttpResponse<String> signedIn = send(http, signIn(authority, token(asked)));
      assertThat(signedIn.statusCode()).isEqualTo(200);
      assertThat(signedIn.headers().allValues("set-cookie"))
          .allMatch(each -> each.startsWith("__Host-"))
          .anyMatch(each -> each.startsWith("__Host-oficina-sign-in=") && each.contains("Secure"));
      assertThat(firstPush(http, authority)).contains("\"topic\":\"PEOPLE\"");
      assertThat(send(HttpClient.newHttpClient(), URI.create(server.address() + "/")).statusCode())
          .as("without TLS")
          .isEqualTo(400);
    }
  }

  @Test
  void without_a_certificate_only_this_computer_is_listened_to() {
    try (ServerProcess server = new ServerProcess("--server.address=0.0.0.0")) {
      assertThatThrownBy(server::start)
          .hasMessageContaining("listening on another address than 127.0.0.1 needs a certificate");
    }
  }

  private static URI get(String authority, String path) {
    return URI.create("https://" + authority + path);
  }

  private static String token(HttpResponse<String> answer) {
    List<String> cookies = answer.headers().allValues("set-cookie");
    String token =
        cookies.stream().filter(each -> each.startsWith("__Host-XSRF")).findFirst().orElseThrow();
    return token.substring(token.indexOf('=') + 1, token.indexOf(';'));
  }

  private static HttpRequest signIn(String authority, String token) {
    return HttpRequest.newBuilder(get(authority, "/api/session"))
        .header("Content-Type", "application/json")
        .header("X-XSRF-TOKEN", token)
        .POST(
            HttpRequest.BodyPublishers.ofString(
                "{\"name\":\"ines\",\"password\":\"harbour-light\"}"))
        .build();
  }

  private static HttpResponse<String> send(HttpClient http, URI address) throws Exception {
    return send(http, HttpRequest.newBuilder(address).build());
  }

  private static HttpResponse<String> send(HttpClient http, HttpRequest request) throws Exception {
    return http.send(request, HttpResponse.BodyHandlers.ofString());
  }

  private static String firstPush(HttpClient http, String authority) throws Exception {
    CompletableFuture<String> first = new CompletableFuture<>();
    StringBuilder text = new StringBuilder();
    WebSocket socket =
        http.newWebSocketBuilder()
            .buildAsync(
                URI.create("wss://" + authority + "/api/push"),
                new WebSocket.Listener() {
                  @Override
                  public CompletionStage<?> onText(
                      WebSocket from, CharSequence part, boolean last) {
                    text.append(part);
                    if (last) {
                      first.complete(text.toString());
                    }
                    from.request(1);
                    return null;
                  }
                })
            .join();
    try {
      return first.get(40, TimeUnit.SECONDS);
    } finally {
      socket.abort();
    }
  }
}
