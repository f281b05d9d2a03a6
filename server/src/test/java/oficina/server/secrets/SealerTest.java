package oficina.server.secrets;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SecretsTest {
  @TempDir Path folder;

  private Sealer sealer(String file) {
    return new Sealer(KeyFile.of(folder.resolve(file).toString()));
  }

  @Test
  void what_is_sealed_is_opened_by_the_same_key_for_the_same_place_alone() throws IOException {
    byte[] secret = "slack water".getBytes(StandardCharsets.UTF_8);
    byte[] sealed = sealer("key").seal(secret, "person 7");
    assertThat(new String(sealed, StandardCharsets.ISO_8859_1)).doesNotContain("slack", "water");
    assertThat(sealer("key").seal(secret, "person 7")).as("never twice alike").isNotEqualTo(sealed);
    assertThat(sealer("key").open(sealed, "person 7")).as("after a restart").isEqualTo(secret);
    assertThat(Files.getPosixFilePermissions(folder.resolve("key")))
        .isEqualTo(PosixFilePermissions.fromString("rw-------"));
    assertThatThrownBy(() -> sealer("key").open(sealed, "person 8"))
        .isInstanceOf(SecretLostException.class);
    assertThatThrownBy(() -> sealer("another").open(sealed, "person 7"))
        .isInstanceOf(SecretLostException.class);
    for (int i = 0; i < sealed.length; i++) {
      byte[] changed = sealed.clone();
      changed[i] ^= 1;
      assertThat(opened(changed)).as("byte " + i).isNotEqualTo("slack water");
    }
  }

  private String opened(byte[] sealed) {
    try {
      return new String(sealer("key").open(sealed, "person 7"), StandardCharsets.UTF_8);
    } catch (SecretLostException e) {
      return "";
    }
  }

  @Test
  void what_was_written_before_there_was_a_key_is_opened_and_can_be_sealed() {
    Sealer none = new Sealer((javax.crypto.SecretKey) null);
    String kept = none.sealText("{\"secret\":\"tide\"}", "provider");
    assertThat(kept).isEqualTo("{\"secret\":\"tide\"}");
    Sealer sealer = sealer("key");
    assertThat(sealer.isToSeal(kept)).isTrue();
    assertThat(sealer.openText(kept, "provider")).isEqualTo(kept);
    String sealed = sealer.sealText(kept, "provider");
    assertThat(sealer.isToSeal(sealed)).isFalse();
    assertThat(sealed).doesNotContain("tide");
    assertThat(sealer.openText(sealed, "provider")).isEqualTo(kept);
    assertThatThrownBy(() -> none.openText(sealed, "provider"))
        .isInstanceOf(SecretLostException.class);
  }

  @Test
  void a_file_with_something_else_in_it_is_not_taken_for_a_key() throws IOException {
    Path file = Files.writeString(folder.resolve("key"), "slack water");
    assertThatThrownBy(() -> KeyFile.of(file.toString()))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("Put the one of the last backup there");
    assertThat(file).hasContent("slack water");
  }
}
