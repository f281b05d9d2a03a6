package oficina.server.speech;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import oficina.core.sound.BadSoundException;
import oficina.core.sound.Wav;
import oficina.server.threads.Threads;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Speech by Debian's flite, one process at a time with a time limit. What was said lately is kept,
 * so that the same sentence costs nothing the second time.
 */
@Component
class FliteSpeaker implements Speaker {
  private static final Logger LOG = LoggerFactory.getLogger(FliteSpeaker.class);
  private static final Duration LONGEST = Duration.ofMinutes(2);
  private static final int SECONDS = 20;
  private static final int KEPT = 200;

  private record Said(Voice voice, String text) {}

  private final ExecutorService work = Executors.newSingleThreadExecutor(Threads.named("speech"));
  private final Map<Said, CompletableFuture<short[]>> said =
      Collections.synchronizedMap(
          new LinkedHashMap<>(16, 0.75f, /* accessOrder= */ true) {
            private static final long serialVersionUID = 1;

            @Override
            protected boolean removeEldestEntry(
                Map.Entry<Said, CompletableFuture<short[]>> eldest) {
              return size() > KEPT;
            }
          });
  private volatile boolean missing;

  @Override
  public CompletableFuture<short[]> say(Voice voice, String text) {
    return said.computeIfAbsent(
        new Said(voice, text), s -> CompletableFuture.supplyAsync(() -> speak(voice, text), work));
  }

  private short[] speak(Voice voice, String text) {
    Path file = null;
    try {
      if (missing) {
        return new short[0];
      }
      file = Files.createTempFile("speech", ".wav");
      // As an argument, never by a shell: a text is a text whatever is in it.
      List<String> command =
          List.of("flite", "-voice", name(voice), "-t", text, "-o", file.toString());
      Process process =
          new ProcessBuilder(command)
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
      if (!process.waitFor(SECONDS, TimeUnit.SECONDS)) {
        process.destroyForcibly();
        LOG.warn("Speaking a sentence took too long and was given up");
        return new short[0];
      }
      return Wav.read(Files.readAllBytes(file), LONGEST);
    } catch (IOException e) {
      missing = true;
      LOG.warn("This machine cannot speak (Debian's flite): tones take the place of sentences");
      return new short[0];
    } catch (BadSoundException e) {
      LOG.warn("A sentence could not be spoken: {}", e.reason());
      return new short[0];
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return new short[0];
    } finally {
      delete(file);
    }
  }

  private static void delete(@org.jspecify.annotations.Nullable Path file) {
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
    work.shutdownNow();
  }
}
