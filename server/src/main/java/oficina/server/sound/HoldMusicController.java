package oficina.server.sound;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import oficina.server.passwords.Employee;
import oficina.server.time.MovableClock;
import oficina.server.uploads.Uploads;
import oficina.server.uploads.WavUpload;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The music for callers who wait. As all of /api/office, for administrators alone. */
@RestController
@RequestMapping("/api/office/hold-music")
class HoldMusicController {
  private static final Duration LONGEST = Duration.ofMinutes(5);
  private static final int LONGEST_NAME = 200;

  private final Uploads uploads;
  private final HoldMusicStore store;
  private final Music music;
  private final MovableClock clock;

  HoldMusicController(Uploads uploads, HoldMusicStore store, Music music, MovableClock clock) {
    this.uploads = uploads;
    this.store = store;
    this.music = music;
    this.clock = clock;
  }

  /**
   * @param name of the file that was uploaded; absent while the piece that ships is played
   */
  record HoldMusicView(@Schema(nullable = true) @Nullable String name) {}

  /** What waiting callers hear. */
  @GetMapping
  HoldMusicView what() {
    return new HoldMusicView(store.name().orElse(null));
  }

  /** Replace it by a WAV file. */
  @PutMapping(consumes = "audio/wav")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(mediaType = "audio/wav", schema = @Schema(format = "binary")))
  void replace(
      @AuthenticationPrincipal Employee me, @RequestParam String name, HttpServletRequest request)
      throws IOException {
    short[] samples = uploads.read(me.id(), request, file -> WavUpload.read(file, LONGEST));
    String known = name.substring(0, Math.min(LONGEST_NAME, name.length()));
    store.replace(known, samples, clock.instant());
    music.refresh();
  }

  /** Play the piece that ships again. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove() {
    store.remove();
    music.refresh();
  }
}
