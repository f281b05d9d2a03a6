package oficina.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** A copy of {@code ./oficina} in a folder of its own, for its functions to be used there. */
final class Script {
  private final Path home;
  private final int port;

  Script(Path home) throws IOException {
    this.home = home;
    Files.copy(Path.of("../oficina"), home.resolve("oficina"));
    Files.createDirectories(home.resolve("script"));
    for (String part : List.of("script/backup.sh", "script/package.sh")) {
      Files.copy(Path.of("..", part), home.resolve(part));
    }
    Files.createDirectories(home.resolve(".oficina/run"));
    try (ServerSocket free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
  }

  /** What the script's functions say when they are used like this. */
  String run(String commands) throws IOException, InterruptedException {
    String script = "cd " + home + "; source ./oficina; " + commands;
    ProcessBuilder bash = new ProcessBuilder("bash", "-c", script).redirectErrorStream(true);
    bash.environment().put("OFICINA_PORT", Integer.toString(port));
    bash.directory(home.toFile());
    Process process = bash.start();
    process.getOutputStream().close(); // nobody answers to what it asks
    String said = new String(process.getInputStream().readAllBytes());
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    return said;
  }
}
