package oficina.server.voicemail;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Stream;
import oficina.server.json.CoreJson;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;

/**
 * Where sound is kept while it is recorded: a file that grows each second, and beside it whose it
 * is. A killed server loses no more than that second, and a database that is away nothing.
 */
@Component
class Spool {
  private static final Logger LOG = LoggerFactory.getLogger(Spool.class);
  private static final String SOUND = ".alaw";
  private static final String LABEL = ".json";

  private final Path directory;

  /** One thing after the other: whoever records waits for no disk. */
  private final ExecutorService work =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "recordings");
            thread.setDaemon(true);
            return thread;
          });

  /**
   * @param path empty for one that ends with the process
   */
  Spool(@Value("${oficina.recordings:}") String path) throws IOException {
    directory =
        path.isBlank()
            ? Files.createTempDirectory("recordings")
            : Files.createDirectories(Path.of(path));
  }

  private interface Task {
    void run() throws IOException;
  }

  private void later(String what, Task task) {
    work.execute(
        () -> {
          try {
            task.run();
          } catch (IOException e) {
            LOG.error("Could not {} in {}", what, directory, e);
          }
        });
  }

  void begin(Label label) {
    later(
        "begin a recording",
        () ->
            Files.writeString(
                file(label.place(), LABEL),
                CoreJson.JSON.writeValueAsString(label),
                StandardCharsets.UTF_8));
  }

  void append(String place, byte[] sound) {
    later(
        "go on with a recording",
        () ->
            Files.write(
                file(place, SOUND), sound, StandardOpenOption.CREATE, StandardOpenOption.APPEND));
  }

  void remove(String place) {
    later(
        "remove a recording",
        () -> {
          Files.deleteIfExists(file(place, SOUND));
          Files.deleteIfExists(file(place, LABEL));
        });
  }

  private Path file(String place, String ending) {
    return directory.resolve(place + ending);
  }

  /** Everything recorded in a place so far; nothing when there is none. */
  byte[] sound(String place) throws IOException {
    settled();
    Path file = file(place, SOUND);
    return Files.exists(file) ? Files.readAllBytes(file) : new byte[0];
  }

  /** All that is kept here now. */
  List<Label> labels() throws IOException {
    settled();
    List<Label> labels = new ArrayList<>();
    try (Stream<Path> files = Files.list(directory)) {
      for (Path file : files.filter(each -> each.toString().endsWith(LABEL)).toList()) {
        try {
          labels.add(CoreJson.JSON.readValue(Files.readString(file), Label.class));
        } catch (JacksonException e) {
          LOG.error("{} does not say whose the recording is; it stays there", file, e);
        }
      }
    }
    return labels;
  }

  /** Waits until all that was asked for so far is done. */
  private void settled() {
    try {
      work.submit(() -> {}).get();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException e) {
      throw new IllegalStateException(e);
    }
  }
}
