package oficina.server.door;

import java.net.InetAddress;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.Ssl;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * On which address this server listens, and with which certificate. Without one it listens on the
 * loopback address alone: a browser gives its microphone only to pages from there or over TLS, and
 * passwords would go over the network for everybody to read.
 */
@Component
class Listening implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private final String certificate;
  private final String key;

  Listening(
      @Value("${oficina.tls.certificate}") String certificate,
      @Value("${oficina.tls.key}") String key) {
    this.certificate = certificate;
    this.key = key;
  }

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    if (certificate.isEmpty() != key.isEmpty()) {
      throw new IllegalStateException(
          "OFICINA_TLS_CERT and OFICINA_TLS_KEY belong together: give the files of both, in PEM");
    }
    if (!certificate.isEmpty()) {
      Ssl tls = new Ssl();
      tls.setCertificate(file(certificate));
      tls.setCertificatePrivateKey(file(key));
      factory.setSsl(tls);
      return;
    }
    InetAddress address = factory.getAddress();
    if (address == null || !address.isLoopbackAddress()) {
      throw new IllegalStateException(
          "listening on another address than 127.0.0.1 needs a certificate: set OFICINA_TLS_CERT"
              + " and OFICINA_TLS_KEY. Without TLS a browser gives its microphone to no page from"
              + " another computer, and passwords could be read on the way");
    }
  }

  private static String file(String path) {
    return path.contains(":") ? path : "file:" + path;
  }
}
