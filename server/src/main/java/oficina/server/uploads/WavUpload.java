package oficina.server.uploads;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import oficina.core.sound.BadSoundException;
import oficina.core.sound.Wav;
import oficina.server.problems.Problem;
import org.springframework.http.HttpStatus;

/** A file of sound that somebody brings. */
public final class WavUpload {
  private WavUpload() {}

  /**
   * Its samples.
   *
   * @param longest longer sound is refused
   * @throws Problem when it cannot be used
   */
  public static short[] read(Path file, Duration longest) throws IOException {
    try {
      return Wav.read(Files.readAllBytes(file), longest);
    } catch (BadSoundException e) {
      long minutes = longest.plusSeconds(59).toMinutes();
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT,
          "SOUND_" + e.reason(),
          Map.of("minutes", Long.toString(minutes)));
    }
  }
}
