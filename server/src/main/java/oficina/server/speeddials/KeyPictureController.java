package oficina.server.speeddials;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import oficina.server.cards.Pictures;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.topics.Topic;
import oficina.server.topics.Topics;
import oficina.server.uploads.Uploads;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pictures that people give keys of theirs, in the place of those of the contacts they are for. */
@RestController
@RequestMapping("/api/speed-dials/{id}/picture")
class KeyPictureController {
  private final Uploads uploads;
  private final SpeedDialStore dials;
  private final Topics topics;

  KeyPictureController(Uploads uploads, SpeedDialStore dials, Topics topics) {
    this.uploads = uploads;
    this.dials = dials;
    this.topics = topics;
  }

  @GetMapping(produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> picture(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    byte[] picture =
        dials
            .picture(me.id(), id)
            .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_PICTURE"));
    return ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).body(picture);
  }

  /** Put a picture on a key: checked, made small, and stored as a new one. */
  @PutMapping(consumes = {"image/jpeg", "image/png", "image/gif"})
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(@AuthenticationPrincipal Employee me, @PathVariable long id, HttpServletRequest request)
      throws IOException {
    change(me, id, uploads.read(me.id(), request, Pictures::small));
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    change(me, id, null);
  }

  private void change(Employee me, long id, byte @Nullable [] picture) {
    if (!dials.picture(me.id(), id, picture)) {
      throw new Problem(HttpStatus.NOT_FOUND, "NO_SUCH_KEY");
    }
    topics.tell(me.id(), Topic.SPEED_DIALS);
  }
}
