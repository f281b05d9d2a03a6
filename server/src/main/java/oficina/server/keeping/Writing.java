package oficina.server.keeping;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import oficina.server.threads.Threads;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Changes files, one thing after the other, while whoever asks for it waits for no disk. What a
 * full disk refuses waits, and what comes after it too, until it goes; only so much waits.
 */
final class Writing {
  private static final Logger LOG = LoggerFactory.getLogger(Writing.class);
  private static final long RETRY_NANOS = 500_000_000;

  private static final int MOST_WAITING = 50_000;

  /** Of them pieces of sound: some minutes of ten recordings. */
  private static final int MOST_SOUND = 2_000;

  private final Path directory;
  private final Disk disk;
  private final ExecutorService work = Threads.one(MOST_WAITING, Threads.named("recordings"));
  private final AtomicInteger sound = new AtomicInteger();

  Writing(Path directory, Disk disk) {
    this.directory = directory;
    this.disk = disk;
  }

  /** Some change of files that can be done again after it has failed. */
  interface Change {
    void make() throws IOException;
  }

  /** Has it made. */
  void later(Change change) {
    queue(() -> untilMade(change));
  }

  /**
   * Has sound written at the end of a file.
   *
   * @return false when too much of it waits already: it is lost
   */
  boolean append(Path file, byte[] piece) {
    boolean taken = sound.incrementAndGet() <= MOST_SOUND && queue(() -> write(file, piece));
    if (!taken) {
      sound.decrementAndGet();
    }
    return taken;
  }

  private void write(Path file, byte[] piece) {
    try {
      untilMade(() -> appendNow(file, piece));
    } finally {
      sound.decrementAndGet();
    }
  }

  private boolean queue(Runnable task) {
    try {
      work.execute(task);
      return true;
    } catch (RejectedExecutionException e) {
      refused(e);
      return false;
    }
  }

  private void untilMade(Change change) {
    while (!made(change)) {
      LockSupport.parkNanos(RETRY_NANOS);
    }
  }

  private boolean made(Change change) {
    try {
      change.make();
      disk.took(this);
      return true;
    } catch (IOException e) {
      refused(e);
      return false;
    }
  }

  /** It is logged once, until it goes again. */
  private void refused(Exception e) {
    if (disk.refused(this)) {
      LOG.error("What is recorded cannot be written to {}", directory, e);
    }
  }

  /**
   * Waits until all that was asked for so far is done.
   *
   * @throws IOException when too much waits for the disk
   */
  void settle() throws IOException {
    try {
      work.submit(() -> {}).get();
    } catch (RejectedExecutionException e) {
      throw new IOException("too much waits for the disk", e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Writes this at the end of a file, all of it or nothing. */
  static void appendNow(Path file, byte[] more) throws IOException {
    try (FileChannel open =
        FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
      long before = open.size();
      open.position(before);
      try {
        ByteBuffer left = ByteBuffer.wrap(more);
        while (left.hasRemaining()) {
          open.write(left);
        }
      } catch (IOException e) {
        open.truncate(before);
        throw e;
      }
    }
  }

  /** Writes a file anew; the old one stays until all of the new one is there. */
  static void replace(Path file, String content) throws IOException {
    Path anew = file.resolveSibling(file.getFileName() + ".new");
    Files.writeString(anew, content, StandardCharsets.UTF_8);
    Files.move(anew, file, StandardCopyOption.ATOMIC_MOVE);
  }
}
