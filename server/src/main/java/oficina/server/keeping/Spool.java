package oficina.server.keeping;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;

/**
 * Where sound is kept while it is recorded: a file that grows each second, and beside it whose it
 * is and what is to be known of it. A killed server loses no more than that second, and a database
 * that is away or a disk that is full for a moment nothing.
 *
 * @param <L> says whose something recorded is
 * @param <M> something to be known of a place in it
 */
public class Spool<L, M> {
  private static final Logger LOG = LoggerFactory.getLogger(Spool.class);

  private static final String SOUND = ".alaw";
  private static final String LABEL = ".json";
  private static final String MARKS = ".marks";

  private final Path directory;
  private final Class<L> labels;
  private final Class<M> marks;
  private final Writing writing;

  /**
   * @param path empty for one that ends with the process
   * @param part of it that is this one's
   */
  protected Spool(String path, String part, Class<L> labels, Class<M> marks, Disk disk)
      throws IOException {
    directory =
        path.isBlank()
            ? Files.createTempDirectory("recordings")
            : Files.createDirectories(Path.of(path, part));
    this.labels = labels;
    this.marks = marks;
    writing = new Writing(directory, disk);
  }

  /** Begins a recording in a place, or says anew whose it is. */
  public void begin(String place, L label) {
    String content = CoreJson.JSON.writeValueAsString(label);
    writing.later(() -> Writing.replace(file(place, LABEL), content));
  }

  /**
   * Goes on with a recording.
   *
   * @return false when it is lost, because too much waits for the disk
   */
  public boolean append(String place, byte[] sound) {
    return writing.append(file(place, SOUND), sound);
  }

  /** Marks something in a recording. */
  public void mark(String place, M mark) {
    byte[] line = (CoreJson.JSON.writeValueAsString(mark) + "\n").getBytes(StandardCharsets.UTF_8);
    writing.later(() -> Writing.appendNow(file(place, MARKS), line));
  }

  /** Forgets a recording. */
  public void remove(String place) {
    writing.later(
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
    writing.settle();
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
    writing.settle();
    Path file = file(place, MARKS);
    return Files.exists(file)
        ? Files.readAllLines(file).stream()
            .map(line -> CoreJson.JSON.readValue(line, marks))
            .toList()
        : List.of();
  }

  /** Whose the recording in a place is; null when there is none. */
  public @Nullable L label(String place) throws IOException {
    writing.settle();
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
    writing.settle();
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
}
