package oficina.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import oficina.server.Client;
import oficina.server.TestServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Every page is told when the disk takes nothing, and when it does again. */
@ExtendWith(TestServer.class)
class DiskTest {
  @Test
  void everybody_is_told_that_the_disk_is_full() {
    Disk disk = TestServer.get().bean(Disk.class);
    try (Client ines = Client.signedIn("ines")) {
      assertThat(ines.get("/api/desk").body().get("service").get("full").asBoolean()).isFalse();
      disk.refused(this);
      ines.await(push -> push.path("full").asBoolean());
      assertThat(ines.get("/api/desk").body().get("service").get("full").asBoolean()).isTrue();
      disk.took(this);
      ines.await(push -> push.has("full") && !push.get("full").asBoolean());
    }
  }
}
