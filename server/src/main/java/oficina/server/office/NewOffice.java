package oficina.server.office;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Set;
import oficina.core.people.PersonId;
import oficina.server.OficinaProperties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What an empty database begins with: the demo office where that is wanted, otherwise one
 * administrator whose password is said once and must be changed.
 */
@Component
public class NewOffice {
  private static final Logger LOG = LoggerFactory.getLogger(NewOffice.class);
  private static final String DEMO = "demo";

  private static final Set<PosixFilePermission> OWNER_ONLY =
      PosixFilePermissions.fromString("rw-------");

  private final OfficeStore store;
  private final DemoOffice demo;
  private final PasswordEncoder passwords;
  private final boolean demoWanted;
  private final String passwordFile;

  /**
   * @param passwordFile where the first password is left for whoever starts the server; empty to
   *     say it in the log
   */
  NewOffice(
      OfficeStore store,
      DemoOffice demo,
      PasswordEncoder passwords,
      OficinaProperties properties,
      @Value("${oficina.first-password-file}") String passwordFile) {
    this.store = store;
    this.demo = demo;
    this.passwords = passwords;
    this.demoWanted = properties.demo();
    this.passwordFile = passwordFile;
  }

  @Transactional
  public void intoEmptyDatabase() {
    if (store.isEmpty()) {
      if (demoWanted) {
        demo.add();
        store.set(DEMO, "true");
      } else {
        administrator();
      }
    }
    if (store.setting(DEMO).isPresent()) {
      LOG.warn(
          "This is the demo office: its people can be signed in as by anybody who knows the password"
              + " of the demo. Do not use it for real calls.");
    }
  }

  private void administrator() {
    byte[] random = new byte[12];
    new SecureRandom().nextBytes(random);
    String password = Base64.getUrlEncoder().withoutPadding().encodeToString(random);
    long team = store.teamNamed("Office");
    PersonId id =
        store.addPerson(
            new NewPerson(
                "Administrator",
                "admin",
                passwords.encode(password),
                "administrator",
                "100",
                null,
                team,
                "",
                "",
                null,
                true,
                StandIn.NONE));
    store.mustChangePassword(id);
    if (passwordFile.isEmpty()) {
      LOG.warn(
          "A new office. Sign in as admin with the password {} and choose another one. It is not"
              + " said again.",
          password);
    } else {
      leave(password);
    }
  }

  /** Readable by whoever runs the server only. */
  private void leave(String password) {
    try {
      Path file = Path.of(passwordFile);
      Files.deleteIfExists(file);
      Files.createFile(file, PosixFilePermissions.asFileAttribute(OWNER_ONLY));
      Files.writeString(file, password + "\n");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    LOG.warn("A new office: the password of admin is in {}", passwordFile);
  }
}
