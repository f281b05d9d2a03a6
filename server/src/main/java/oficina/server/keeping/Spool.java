package oficina.server.keeping;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import oficina.server.json.CoreJson;
import oficina.server.threads.Threads;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;

/**
 * Where sound is kept while it is recorded: a file that grows each second, and beside it whose it
 * is and what is to be known of it. A killed server loses no more than that second, and a database
 * that is away nothing.
 *
 * @param <L> says whose something recorded is
 * @param <M> something to be known of a place in it
 */
public class Spool<L, M> {
  private static final Logger LOG = LoggerFactory.getLogger(Spool.class);

  /** Of a disk that stands still: some minutes of ten recordings. */
  private static final int MOST_WAITING = 2_000;

  private static final String SOUND = ".alaw";
  private static final String LABEL = ".json";
  private static final String MARKS = ".marks";

  private final Path directory;
  private final Class<L> labels;
  private final Class<M> marks;

  /** One thing after the other: whoever records waits for no disk. */
  private final ExecutorService work = Threads.one(MOST_WAITING, Threads.named("recordings"));

  private final AtomicBoolean failing = new AtomicBoolean();

  /**
   * @param path empty for one that ends with the process
   * @param part of it that is this one's
   */
  protected Spool(String path, String part, Class<L> labels, Class<M> marks) throws IOException {
    directory =
        path.isBlank()
            ? Files.createTempDirectory("recordings")
            : Files.createDirectories(Path.of(path, part));
    this.labels = labels;
    this.marks = marks;
  }

  private interface Task {
    void run() throws IOException;
  }

  private void later(String what, Task task) {
    try {
      work.execute(() -> carryOut(what, task));
    } catch (RejectedExecutionException e) {
      tell(what, e);
    }
  }

  private void carryOut(String what, Task task) {
    try {
      task.run();
      failing.set(false);
    } catch (IOException e) {
      tell(what, e);
    }
  }

  /** Once, until it goes again: a full disk fails each second for each recording. */
  private void tell(String what, Exception e) {
    if (!failing.getAndSet(true)) {
      LOG.error("Could not {} in {}", what, directory, e);
    }
  }

  /** Begins a recording in a place, or says anew whose it is. */
  public void begin(String place, L label) {
    later(
        "begin a recording",
        () ->
            Files.writeString(
                file(place, LABEL),
                CoreJson.JSON.writeValueAsString(label),
                StandardCharsets.UTF_8));
  }

  public void append(String place, byte[] sound) {
    later("go on with a recording", () -> write(file(place, SOUND), sound));
  }

  public void mark(String place, M mark) {
    byte[] line = (CoreJson.JSON.writeValueAsString(mark) + "\n").getBytes(StandardCharsets.UTF_8);
    later("mark a place in a recording", () -> write(file(place, MARKS), line));
  }

  private static void write(Path file, byte[] more) throws IOException {
    Files.write(file, more, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
  }

  public void remove(String place) {
    later(
        "remove a recording",
        () -> {
          for (String ending : List.of(SOUND, MARKS, LABEL)) {
            Files.deleteIfExists(file(place, ending));
          }
        });
  }

  private Path file(String place, String ending) {
    return directory.resolve(place + ending);
  }

  /** How many bytes of sound are recorded in a place so far. */
  public long length(String place) throws IOException {
    settled();
    Path file = file(place, SOUND);
    return Files.exists(file) ? Files.size(file) : 0;
  }

  /** Some of the sound recorded in a place, which must be there. */
  public byte[] part(String place, long from, int count) throws IOException {
    try (RandomAccessFile file = new RandomAccessFile(file(place, SOUND).toFile(), "r")) {
      byte[] part = new byte[count];
      file.seek(from);
      file.readFully(part);
      return part;
    }
  }

  /** Everything recorded in a place so far; nothing when there is none. */
  public byte[] sound(String place) throws IOException {
    int length = (int) length(place);
    return length == 0 ? new byte[0] : part(place, 0, length);
  }

  /** What was marked in a place, in that order. */
  public List<M> marks(String place) throws IOException {
    settled();
    Path file = file(place, MARKS);
    return Files.exists(file)
        ? Files.readAllLines(file).stream()
            .map(line -> CoreJson.JSON.readValue(line, marks))
            .toList()
        : List.of();
  }

  /** Whose the recording in a place is; null when there is none. */
  public @Nullable L label(String place) throws IOException {
    settled();
    Path file = file(place, LABEL);
    return Files.exists(file) ? read(file) : null;
  }

  private @Nullable L read(Path file) throws IOException {
    try {
      return CoreJson.JSON.readValue(Files.readString(file), labels);
    } catch (JacksonException e) {
      LOG.error("{} does not say whose the recording is; it stays there", file, e);
      return null;
    }
  }

  /** All that is kept here now. */
  public List<L> labels() throws IOException {
    settled();
    List<L> all = new ArrayList<>();
    try (Stream<Path> files = Files.list(directory)) {
      for (Path file : files.filter(each -> each.toString().endsWith(LABEL)).toList()) {
        L label = read(file);
        if (label != null) {
          all.add(label);
        }
      }
    }
    return all;
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
