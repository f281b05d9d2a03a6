package oficina.server.sound;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import oficina.core.people.GroupId;
import oficina.server.ledger.OfficeLog;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
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

/**
 * The music for callers who wait, of the office or of one line. As all of /api/office, for
 * administrators alone.
 */
@RestController
@RequestMapping("/api/office/hold-music")
class HoldMusicController {
  private static final Duration LONGEST = Duration.ofMinutes(5);
  private static final int LONGEST_NAME = 200;

  private final Uploads uploads;
  private final HoldMusicStore store;
  private final Music music;
  private final OfficeData office;
  private final MovableClock clock;
  private final OfficeLog log;

  HoldMusicController(
      Uploads uploads,
      HoldMusicStore store,
      Music music,
      OfficeData office,
      MovableClock clock,
      OfficeLog log) {
    this.uploads = uploads;
    this.store = store;
    this.music = music;
    this.office = office;
    this.clock = clock;
    this.log = log;
  }

  /**
   * @param name of the file that was uploaded; absent while the piece that ships is played
   */
  record HoldMusicView(@Schema(nullable = true) @Nullable String name) {}

  /**
   * What waiting callers hear.
   *
   * @param line whose own music; absent for that of the office
   */
  @GetMapping
  HoldMusicView what(@RequestParam(required = false) @Nullable Long line) {
    GroupId own = line(line);
    return new HoldMusicView(named(own).orElse(null));
  }

  private @Nullable GroupId line(@Nullable Long line) {
    if (line == null) {
      return null;
    }
    GroupId id = new GroupId(line);
    if (office.directory().group(id).isEmpty()) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_QUEUE");
    }
    return id;
  }

  /** Replace it by a WAV file. */
  @PutMapping(consumes = "audio/wav")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(mediaType = "audio/wav", schema = @Schema(format = "binary")))
  void replace(
      @AuthenticationPrincipal Employee me,
      @RequestParam String name,
      @RequestParam(required = false) @Nullable Long line,
      HttpServletRequest request)
      throws IOException {
    GroupId own = line(line);
    short[] samples = uploads.read(me.id(), request, file -> WavUpload.read(file, LONGEST));
    String known = name.substring(0, Math.min(LONGEST_NAME, name.length()));
    changing(
        own,
        () -> {
          if (own == null) {
            store.replace(known, samples, clock.instant());
          } else {
            store.replace(own, known, samples, clock.instant());
          }
        });
  }

  /** Play what was played before: at a line the office's music, else the piece that ships. */
  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@RequestParam(required = false) @Nullable Long line) {
    GroupId own = line(line);
    changing(
        own,
        () -> {
          if (own == null) {
            store.remove();
          } else {
            store.remove(own);
          }
        });
  }

  private void changing(@Nullable GroupId own, Runnable change) {
    log.changing("music", () -> named(own).orElse(""), change);
    if (own == null) {
      music.refresh();
    } else {
      music.refresh(own);
    }
  }

  private Optional<String> named(@Nullable GroupId own) {
    return own == null ? store.name() : store.name(own);
  }
}
