package oficina.server.uploads;

import jakarta.annotation.PreDestroy;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import oficina.core.people.PersonId;
import oficina.server.door.Limits;
import oficina.server.door.TokenBuckets;
import oficina.server.problems.Problem;
import oficina.server.threads.Threads;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Takes in files and has them read. While a file comes it lies on the disk, and no other thread
 * than that of whoever sends it waits; only then it is read, one file after the other.
 */
@Component
public class Uploads {
  private static final Logger LOG = LoggerFactory.getLogger(Uploads.class);

  /** So many are sent or read at once. */
  private static final int AT_ONCE = 8;

  /** Whoever sends more slowly than this, once they had some time, keeps a place from others. */
  private static final int SLOWEST_BYTES_PER_SECOND = 32_000;

  private static final Duration TIME_TO_BEGIN = Duration.ofSeconds(10);
  private static final Duration LONGEST_READING = Duration.ofMinutes(3);
  private static final int TRY_AGAIN_SECONDS = 5;
  private static final double ONE_EACH_FIVE_SECONDS = 0.2;
  private static final int PIECE = 64 * 1024;

  private final MovableClock clock;
  private final TokenBuckets sent;
  private final Set<PersonId> underWay = ConcurrentHashMap.newKeySet();
  private final Semaphore places = new Semaphore(AT_ONCE);
  private final ExecutorService reading =
      Executors.newSingleThreadExecutor(Threads.beside("uploads"));

  Uploads(Limits limits, MovableClock clock) {
    this.clock = clock;
    this.sent = new TokenBuckets(limits.uploads(), ONE_EACH_FIVE_SECONDS);
  }

  /** What is made of a file. */
  @FunctionalInterface
  public interface Reading<T> {
    /**
     * Reads it, behind the calls.
     *
     * @throws Problem when it is not what it should be
     */
    T read(Path file) throws IOException;
  }

  /**
   * Takes in the file that a request carries and returns what is made of it.
   *
   * @throws Problem when it is none, comes too slowly, is the second one of this person, or there
   *     are too many
   */
  public <T> T read(PersonId by, HttpServletRequest request, Reading<T> into) throws IOException {
    Duration wait = sent.take(by.toString(), clock.instant());
    if (!wait.isZero()) {
      throw Problem.tooMany("TOO_MANY_UPLOADS", (int) wait.toSeconds() + 1);
    }
    if (!underWay.add(by)) {
      throw Problem.tooMany("UPLOAD_UNDER_WAY", TRY_AGAIN_SECONDS);
    }
    if (!places.tryAcquire()) {
      underWay.remove(by);
      throw busy();
    }
    Path file = null;
    CompletableFuture<T> read = new CompletableFuture<>();
    try {
      file = Files.createTempFile("oficina-upload", null);
      takeIn(request, file);
      Path taken = file;
      reading.execute(() -> complete(read, into, taken, () -> leave(by, taken)));
    } catch (IOException | RuntimeException e) {
      leave(by, file);
      throw e;
    }
    return await(read);
  }

  /** Whoever has been answered has left, and may send the next one. */
  private static <T> void complete(
      CompletableFuture<T> answer, Reading<T> into, Path file, Runnable leave) {
    CompletableFuture<T> read = new CompletableFuture<>();
    try {
      if (!answer.isDone()) {
        read.complete(into.read(file));
      }
    } catch (IOException | RuntimeException e) {
      read.completeExceptionally(e);
    } finally {
      leave.run();
    }
    read.whenComplete(
        (made, failed) -> {
          if (failed == null) {
            answer.complete(made);
          } else {
            answer.completeExceptionally(failed);
          }
        });
  }

  private static <T> T await(CompletableFuture<T> read) throws IOException {
    try {
      return read.get(LONGEST_READING.toSeconds(), TimeUnit.SECONDS);
    } catch (TimeoutException e) {
      read.cancel(false);
      throw busy();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw busy();
    } catch (ExecutionException e) {
      if (e.getCause() instanceof RuntimeException cause) {
        throw cause;
      }
      throw new IOException(e.getCause());
    }
  }

  private static void takeIn(HttpServletRequest request, Path file) throws IOException {
    long began = System.nanoTime();
    long taken = 0;
    byte[] piece = new byte[PIECE];
    try (InputStream in = request.getInputStream();
        OutputStream out = Files.newOutputStream(file)) {
      for (int read = in.read(piece); read >= 0; read = in.read(piece)) {
        out.write(piece, 0, read);
        taken += read;
        Duration since = Duration.ofNanos(System.nanoTime() - began);
        if (since.compareTo(TIME_TO_BEGIN) > 0
            && taken < SLOWEST_BYTES_PER_SECOND * since.toSeconds()) {
          throw new Problem(HttpStatus.REQUEST_TIMEOUT, "UPLOAD_TOO_SLOW");
        }
      }
    }
  }

  private void leave(PersonId by, @Nullable Path file) {
    places.release();
    underWay.remove(by);
    try {
      if (file != null) {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      LOG.debug("{} is left over", file);
    }
  }

  private static Problem busy() {
    return Problem.busy("UPLOADS_BUSY", TRY_AGAIN_SECONDS);
  }

  @PreDestroy
  void stop() {
    reading.shutdownNow();
  }
}
