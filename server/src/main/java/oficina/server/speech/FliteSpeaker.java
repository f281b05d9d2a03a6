package oficina.server.speech;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import oficina.core.sound.BadSoundException;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import oficina.server.threads.Threads;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Speech by Debian's flite, one process at a time for calls and one for previews, each with a time
 * limit. What was said lately is kept, so that the same sentence costs nothing the second time;
 * what could not be said is tried again.
 */
@Component
class FliteSpeaker implements Speaker {
  private static final Logger LOG = LoggerFactory.getLogger(FliteSpeaker.class);
  private static final Duration LONGEST = Duration.ofMinutes(2);
  private static final int SECONDS = 20;

  /** Of all that is kept: ten minutes. */
  private static final long KEPT_SAMPLES = 600L * Pcm.RATE;

  private static final int MOST_WAITING_FOR_CALLS = 500;
  private static final int MOST_WAITING_FOR_PREVIEWS = 20;

  private record Said(Voice voice, String text) {}

  private final ExecutorService forCalls =
      Threads.one(MOST_WAITING_FOR_CALLS, Threads.named("speech-for-calls"));
  private final ExecutorService forPreviews =
      Threads.one(MOST_WAITING_FOR_PREVIEWS, Threads.beside("speech-for-previews"));
  private final AsyncCache<Said, short[]> said =
      Caffeine.newBuilder()
          .maximumWeight(KEPT_SAMPLES)
          .weigher((Said text, short[] samples) -> samples.length)
          .buildAsync();
  private final AtomicBoolean failed = new AtomicBoolean();

  @Override
  public CompletableFuture<short[]> say(Voice voice, String text, For whom) {
    ExecutorService work = whom == For.CALL ? forCalls : forPreviews;
    try {
      return said.get(
              new Said(voice, text),
              (what, any) -> CompletableFuture.supplyAsync(() -> speak(what), work))
          .thenApply(samples -> samples == null ? new short[0] : samples);
    } catch (RejectedExecutionException e) {
      tell("more is to be spoken than can be");
      return CompletableFuture.completedFuture(new short[0]);
    }
  }

  /** Null when it cannot be spoken now, which is not kept. */
  private short @Nullable [] speak(Said what) {
    if (SpokenLength.of(what.text()).compareTo(SpokenLength.LONGEST) > 0) {
      LOG.warn("A sentence is too long to be spoken");
      return null;
    }
    Path file = null;
    try {
      file = Files.createTempFile("speech", ".wav");
      // As an argument, never by a shell: a text is a text whatever is in it.
      List<String> command =
          List.of("flite", "-voice", name(what.voice()), "-t", what.text(), "-o", file.toString());
      Process process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      if (!process.waitFor(SECONDS, TimeUnit.SECONDS)) {
        process.destroyForcibly();
        LOG.warn("Speaking a sentence took too long and was given up");
        return null;
      }
      short[] samples = Wav.read(Files.readAllBytes(file), LONGEST);
      failed.set(false);
      return samples;
    } catch (IOException e) {
      tell(String.valueOf(e.getMessage()));
      return null;
    } catch (BadSoundException e) {
      LOG.warn("A sentence could not be spoken: {}", e.reason());
      return null;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return null;
    } finally {
      delete(file);
    }
  }

  /** Once, until it goes again. */
  private void tell(String why) {
    if (!failed.getAndSet(true)) {
      LOG.warn("This machine (Debian's flite) cannot speak now: {}", why);
    }
  }

  private static void delete(@Nullable Path file) {
    try {
      if (file != null) {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      LOG.debug("{} is left over", file);
    }
  }

  private static String name(Voice voice) {
    return switch (voice) {
      case ALDER -> "slt";
      case BIRCH -> "rms";
      case CEDAR -> "awb";
      case DAMSON -> "kal16";
    };
  }

  @PreDestroy
  void stop() {
    forCalls.shutdownNow();
    forPreviews.shutdownNow();
  }
}
