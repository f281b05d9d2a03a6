package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Oficina as it is installed for good: on this machine, as root, if it is not there already. It is
 * gone again afterwards.
 */
class PackageTest {
  private static final Pattern PASSWORD = Pattern.compile("admin with the password (\\S+)");
  private static final Path SETTINGS = Path.of("/etc/oficina/oficina.conf");
  private static final Path OFFICE = Path.of("/var/lib/oficina");

  @TempDir private Path folder;

  @BeforeEach
  void onlyWhereNobodyHasIt() throws Exception {
    assumeTrue(run("id -u").strip().equals("0"), "only root installs packages");
    assumeTrue(
        Files.notExists(Path.of("/usr/bin/oficina")) && Files.notExists(OFFICE),
        "somebody has installed it here");
  }

  @AfterEach
  void gone() throws Exception {
    if (Files.exists(SETTINGS)) {
      run("echo 'oficina oficina/purge-data boolean true' | debconf-set-selections");
      run("DEBIAN_FRONTEND=noninteractive dpkg --force-depends -P oficina");
    }
  }

  private static String run(String command) throws IOException, InterruptedException {
    Process process = new ProcessBuilder("bash", "-c", command).redirectErrorStream(true).start();
    process.getOutputStream().close();
    String said = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor(240, TimeUnit.SECONDS)).isTrue();
    return said;
  }

  /** From what is built already, as {@code ./oficina package} does it. */
  private Path made(String version) throws Exception {
    String said =
        run(
            """
            cd .. && source ./oficina && APP=%1$s/app RUN=%1$s && export OFICINA_VERSION=%2$s
            prepare() { true; }
            build() { rm -rf $APP; java -Djarmode=tools -jar server/target/server-*-app.jar extract --destination $APP; }
            make_package %1$s
            """
                .formatted(folder, version));
    Path made = folder.resolve("oficina_" + version + "_all.deb");
    assertThat(made).as(said).exists();
    return made;
  }

  private static void install(Path made) throws Exception {
    String said = run("DEBIAN_FRONTEND=noninteractive dpkg --force-depends -i " + made);
    assertThat(said).contains("Setting up oficina").doesNotContain("error");
  }

  private static int freePort() throws IOException {
    try (ServerSocket free = new ServerSocket(0)) {
      return free.getLocalPort();
    }
  }

  @Test
  void it_is_installed_started_upgraded_removed_and_the_office_goes_only_when_asked()
      throws Exception {
    install(made("1.0"));
    int port = freePort();
    List<String> settings =
        List.of(
            "OFICINA_PORT=" + port,
            "OFICINA_DB_PORT=" + freePort(),
            "OFICINA_SOUND_PORT=" + freePort());
    Files.writeString(SETTINGS, Files.readString(SETTINGS) + String.join("\n", settings) + "\n");
    assertThat(run("systemd-analyze verify /lib/systemd/system/oficina.service; echo $?"))
        .isEqualTo("0\n");

    Matcher said = PASSWORD.matcher(run("OFICINA_DETACH=1 oficina start"));
    assertThat(said.find()).isTrue();
    assertThat(run("ps -o user= -C mariadbd,java").lines()).contains("oficina");
    Client admin = new Client("http://127.0.0.1:" + port);
    admin.signIn("admin", said.group(1)).done();
    Map<String, String> own = Map.of("present", said.group(1), "next", "nobody else knows");
    admin.put("/api/session/password", own).done();
    assertThat(run("oficina test")).contains("is for whoever builds Oficina");

    install(made("2.0"));
    assertThat(Files.readString(SETTINGS)).as("as they were").contains("OFICINA_PORT=" + port);
    assertThat(run("OFICINA_DETACH=1 oficina start")).contains("Sign in with your name");
    assertThat(new Client("http://127.0.0.1:" + port).signIn("admin", own.get("next")).status())
        .as("the office is as it was")
        .isEqualTo(200);

    run("DEBIAN_FRONTEND=noninteractive dpkg --force-depends -r oficina");
    assertThat(Path.of("/usr/bin/oficina")).doesNotExist();
    assertThat(run("ps -o stat= -o comm= -u oficina | grep -v '^Z' | grep -E 'java|mariadbd'"))
        .as("ended with it")
        .isEmpty();
    assertThat(OFFICE.resolve("data")).exists();
    run("echo 'oficina oficina/purge-data boolean true' | debconf-set-selections");
    run("DEBIAN_FRONTEND=noninteractive dpkg --force-depends -P oficina");
    assertThat(OFFICE).doesNotExist();
  }
}
