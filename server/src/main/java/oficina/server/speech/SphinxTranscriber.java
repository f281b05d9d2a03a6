package oficina.server.speech;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import oficina.core.sound.Pcm;
import oficina.core.sound.Wav;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/**
 * Transcripts by Debian's pocketsphinx, in a process of its own, behind everything else that wants
 * the processor, and given up after three times the length of the sound.
 */
@Component
class SphinxTranscriber implements Transcriber {
  private static final Logger LOG = LoggerFactory.getLogger(SphinxTranscriber.class);
  private static final String LANGUAGE_OF_THE_MODEL = "en";

  /** Loading the model takes a moment, however short the sound is. */
  private static final int LEAST_SECONDS = 15;

  /** It comes after everything else on the machine: on a busy one it waits more than it works. */
  private static final int WAITS_AT_MOST = 20;

  private static final double SURE = 0.4;

  /** Word, beginning, end, and how sure it is (a posterior probability). */
  private static final Pattern LINE =
      Pattern.compile("(\\S+) (\\d+\\.\\d+) (\\d+\\.\\d+) (\\d+\\.\\d+)");

  /** The model's names of other ways to pronounce a word. */
  private static final Pattern VARIANT = Pattern.compile("\\(\\d+\\)$");

  private final boolean able;
  private final Pronunciations pronunciations;

  /**
   * @param language of the office, by its two letters
   */
  SphinxTranscriber(
      @Value("${oficina.speech.language}") String language, Pronunciations pronunciations) {
    this.pronunciations = pronunciations;
    able = language.equals(LANGUAGE_OF_THE_MODEL) && SphinxModel.isInstalled() && isInstalled();
    if (!able) {
      LOG.info("Messages are not written down: there is no pocketsphinx for {}", language);
    }
  }

  private static boolean isInstalled() {
    for (String directory : System.getenv().getOrDefault("PATH", "").split(":")) {
      if (Files.isExecutable(Path.of(directory, "pocketsphinx_continuous"))) {
        return true;
      }
    }
    return false;
  }

  @Override
  public boolean able() {
    return able;
  }

  @Override
  public List<Word> listen(short[] samples, List<String> names) throws SpeechException {
    Path directory = null;
    try {
      directory = Files.createTempDirectory("oficina-listening");
      return listen(samples, names, directory);
    } catch (IOException e) {
      throw new SpeechException(e.getMessage());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new SpeechException("was interrupted");
    } finally {
      delete(directory);
    }
  }

  private List<Word> listen(short[] samples, List<String> names, Path directory)
      throws IOException, InterruptedException, SpeechException {
    Path sound = directory.resolve("sound.wav");
    Path words = directory.resolve("words.txt");
    Files.write(sound, Wav.write(samples));
    List<String> command = new ArrayList<>(List.of("nice", "-n", "19", "pocketsphinx_continuous"));
    command.addAll(List.of("-infile", sound.toString(), "-time", "yes", "-logfn", "/dev/null"));
    command.addAll(knowing(names, directory));
    Process process =
        new ProcessBuilder(command)
            .redirectOutput(words.toFile())
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    int patience = Math.max(LEAST_SECONDS, 3 * samples.length / Pcm.RATE);
    if (!ends(process, Duration.ofSeconds(patience))) {
      process.destroyForcibly();
      throw new SpeechException("worked longer than " + patience + " s");
    }
    if (process.exitValue() != 0) {
      throw new SpeechException("ended with " + process.exitValue());
    }
    return read(Files.readAllLines(words, StandardCharsets.UTF_8));
  }

  /**
   * Waits for its end while it has not worked longer than this, which a busy machine does not
   * shorten.
   */
  private static boolean ends(Process process, Duration atMost) throws InterruptedException {
    long waits = WAITS_AT_MOST * atMost.toSeconds();
    for (long second = 0; second < waits; second++) {
      if (process.waitFor(1, TimeUnit.SECONDS)) {
        return true;
      }
      Duration worked = process.info().totalCpuDuration().orElse(Duration.ofSeconds(second));
      if (worked.compareTo(atMost) > 0) {
        return false;
      }
    }
    return false;
  }

  /** What tells it the names; nothing when they cannot be told: the rest is heard all the same. */
  private List<String> knowing(List<String> names, Path directory) {
    Path model = directory.resolve("words.lm.bin");
    Path dictionary = directory.resolve("words.dict");
    try {
      SphinxModel.write(pronunciations.of(names), model, dictionary);
      return List.of("-lm", model.toString(), "-dict", dictionary.toString());
    } catch (IOException e) {
      LOG.warn("Names are not recognised in messages: {}", e.getMessage());
      return List.of();
    }
  }

  private static void delete(@Nullable Path directory) {
    try {
      if (directory != null) {
        FileSystemUtils.deleteRecursively(directory);
      }
    } catch (IOException e) {
      LOG.debug("{} is left over", directory);
    }
  }

  /** Of what it prints, the lines of single words; silences and noises are in brackets. */
  static List<Word> read(List<String> lines) {
    List<Word> words = new ArrayList<>();
    for (String line : lines) {
      Matcher parts = LINE.matcher(line);
      if (parts.matches() && Character.isLetterOrDigit(parts.group(1).charAt(0))) {
        words.add(
            new Word(
                VARIANT.matcher(parts.group(1)).replaceFirst(""),
                millis(parts.group(2)),
                millis(parts.group(3)),
                Double.parseDouble(parts.group(4)) < SURE));
      }
    }
    return words;
  }

  private static int millis(String seconds) {
    return (int) Math.round(Double.parseDouble(seconds) * 1000);
  }
}
