package oficina.server.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import org.junit.jupiter.api.Test;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;

/** Nobody listens to the network without TLS. */
class ListeningTest {
  private final TomcatServletWebServerFactory factory = new TomcatServletWebServerFactory();

  private void at(String address, String certificate, String key) throws Exception {
    factory.setAddress(InetAddress.getByName(address));
    new Listening(certificate, key).customize(factory);
  }

  @Test
  void the_loopback_address_needs_no_certificate() throws Exception {
    at("127.0.0.1", "", "");
    at("::1", "", "");
    assertThat(factory.getSsl()).isNull();
  }

  @Test
  void any_other_does() throws Exception {
    for (String address : new String[] {"0.0.0.0", "192.0.2.7", "::"}) {
      assertThatThrownBy(() -> at(address, "", ""))
          .hasMessageContaining("OFICINA_TLS_CERT")
          .hasMessageContaining("microphone");
    }
    at("0.0.0.0", "/etc/office/cert.pem", "/etc/office/key.pem");
    assertThat(factory.getSsl().getCertificate()).isEqualTo("file:/etc/office/cert.pem");
    assertThat(factory.getSsl().getCertificatePrivateKey()).isEqualTo("file:/etc/office/key.pem");
  }

  @Test
  void half_of_it_is_refused() {
    assertThatThrownBy(() -> at("127.0.0.1", "/etc/office/cert.pem", ""))
        .hasMessageContaining("belong together");
  }
}
