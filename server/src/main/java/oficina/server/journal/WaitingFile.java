package oficina.server.journal;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import oficina.core.events.ExchangeEvent;
import oficina.server.json.CoreJson;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Events that wait for a database that is away, in a file beside its data: a server that is stopped
 * or killed meanwhile loses none, and the next start reads them in. Its room is taken beforehand,
 * so that it can be written when the disk is full. One line of JSON for each event; a zero byte
 * ends the file.
 */
@Component
public class WaitingFile {
  private static final Logger LOG = LoggerFactory.getLogger(WaitingFile.class);
  private static final int ROOM = 16 * 1024 * 1024;

  private final @Nullable Path path;
  private long end;

  /**
   * @param path empty for none: events then wait in memory only
   */
  public WaitingFile(@Value("${oficina.waiting-file:}") String path) {
    this.path = path.isBlank() ? null : Path.of(path);
  }

  /** An event with its place, as a line of the file. */
  private record Line(long seq, StoredEvent event, @Nullable String submission) {}

  /** Takes the room that it may need. */
  synchronized void reserve() {
    if (path == null) {
      return;
    }
    try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "rw")) {
      long has = file.length();
      file.seek(has);
      byte[] zeros = new byte[64 * 1024];
      for (; has < ROOM; has += zeros.length) {
        file.write(zeros);
      }
    } catch (IOException e) {
      LOG.error("There is no room for events that wait: {}", path, e);
    }
  }

  /** Adds events to those that wait. */
  synchronized void add(List<Batch.Entry> entries) {
    if (path == null || entries.isEmpty()) {
      return;
    }
    StringBuilder lines = new StringBuilder();
    for (Batch.Entry entry : entries) {
      Line line = new Line(entry.seq(), StoredEvent.of(entry.event()), entry.submission());
      lines.append(CoreJson.JSON.writeValueAsString(line)).append('\n');
    }
    byte[] bytes = lines.append('\0').toString().getBytes(StandardCharsets.UTF_8);
    try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "rw")) {
      file.seek(end);
      file.write(bytes);
      end += bytes.length - 1;
    } catch (IOException e) {
      LOG.error("Events wait in memory only, not in {}", path, e);
    }
  }

  /** Nothing waits any more. */
  synchronized void clear() {
    if (path == null || end == 0) {
      return;
    }
    try (RandomAccessFile file = new RandomAccessFile(path.toFile(), "rw")) {
      file.write(0);
      end = 0;
    } catch (IOException e) {
      LOG.error("Events that are written are still in {}", path, e);
    }
  }

  /**
   * What waits, in order, once: a server that could not write what it had read in has added it
   * again. A line that was being written when the server was killed does not count.
   *
   * @param after place of the last event that the journal has: up to there it is read already
   */
  synchronized List<Batch.Entry> read(long after) {
    if (path == null || !Files.exists(path)) {
      return List.of();
    }
    try {
      byte[] bytes = Files.readAllBytes(path);
      int length = 0;
      while (length < bytes.length && bytes[length] != 0) {
        length++;
      }
      while (length > 0 && bytes[length - 1] != '\n') {
        length--;
      }
      end = length;
      return entries(new String(bytes, 0, length, StandardCharsets.UTF_8), after);
    } catch (IOException e) {
      LOG.error("Events that wait cannot be read from {}", path, e);
      return List.of();
    }
  }

  private List<Batch.Entry> entries(String text, long after) {
    List<Line> lines = new ArrayList<>();
    long last = after;
    for (String each : text.lines().toList()) {
      Line line = CoreJson.JSON.readValue(each, Line.class);
      if (line.seq() > last) {
        lines.add(line);
        last = line.seq();
      }
    }
    List<ExchangeEvent> events = EventReader.read(lines.stream().map(Line::event).toList());
    List<Batch.Entry> entries = new ArrayList<>();
    for (int i = 0; i < events.size(); i++) {
      Line line = lines.get(i);
      entries.add(new Batch.Entry(line.seq(), events.get(i), line.submission()));
    }
    return entries;
  }

  /** Where they wait; for telling people. */
  String where() {
    return path == null ? "memory only" : path.toString();
  }

  boolean keeps() {
    return path != null;
  }
}
