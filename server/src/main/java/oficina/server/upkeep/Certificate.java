package oficina.server.upkeep;

import java.io.IOException;
import java.io.InputStream;
import java.security.cert.CertificateException;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.io.ResourceLoader;
import org.springframework.stereotype.Component;

/** Until when browsers take this server's certificate; a newer file of the same name is seen. */
@Component
class Certificate {
  private static final Logger LOG = LoggerFactory.getLogger(Certificate.class);

  private final String file;
  private final ResourceLoader files;

  Certificate(@Value("${oficina.tls.certificate}") String file, ResourceLoader files) {
    this.file = file;
    this.files = files;
  }

  /** Null without TLS. */
  @Nullable Instant ends() {
    if (file.isEmpty()) {
      return null;
    }
    String address = file.contains(":") ? file : "file:" + file;
    try (InputStream pem = files.getResource(address).getInputStream()) {
      X509Certificate first =
          (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(pem);
      return first.getNotAfter().toInstant();
    } catch (IOException | CertificateException e) {
      LOG.warn("The certificate cannot be read", e);
      return null;
    }
  }
}
