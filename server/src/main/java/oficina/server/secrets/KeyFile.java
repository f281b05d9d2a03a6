package oficina.server.secrets;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Set;
import javax.crypto.SecretKey;
import javax.crypto.spec.SecretKeySpec;

/** The file with the key, which nobody else may read; made when there is none. */
final class KeyFile {
  private static final int KEY_BYTES = 32;

  private KeyFile() {}

  /**
   * @throws IllegalStateException when there is something else in it
   */
  static SecretKey of(String file) {
    Path path = Path.of(file);
    try {
      if (Files.notExists(path)) {
        make(path);
      }
      byte[] key = Base64.getDecoder().decode(Files.readString(path).strip());
      if (key.length == KEY_BYTES) {
        return new SecretKeySpec(key, "AES");
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (IllegalArgumentException e) {
      // It is none, which is said below.
    }
    throw new IllegalStateException(
        "There is no key in "
            + path
            + ". Put the one of the last backup there, or remove the file: secrets are lost then.");
  }

  private static void make(Path path) throws IOException {
    byte[] key = new byte[KEY_BYTES];
    new SecureRandom().nextBytes(key);
    Path whole = Files.createTempFile(path.toAbsolutePath().getParent(), "key", "");
    Files.setPosixFilePermissions(whole, PosixFilePermissions.fromString("rw-------"));
    try (var out =
        Files.newByteChannel(whole, Set.of(StandardOpenOption.WRITE, StandardOpenOption.SYNC))) {
      out.write(StandardCharsets.US_ASCII.encode(Base64.getEncoder().encodeToString(key) + "\n"));
    }
    try {
      Files.createLink(path, whole); // not over one that has come meanwhile
    } catch (FileAlreadyExistsException e) {
      // It counts.
    }
    Files.delete(whole);
  }
}
