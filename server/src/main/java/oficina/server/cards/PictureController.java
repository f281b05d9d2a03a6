package oficina.server.cards;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import oficina.core.contacts.Contact;
import oficina.server.contacts.Contacts;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import oficina.server.uploads.Uploads;
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

/** Pictures of contacts. */
@RestController
@RequestMapping("/api/contacts/{id}/picture")
class PictureController {
  private final Uploads uploads;
  private final Contacts contacts;

  PictureController(Uploads uploads, Contacts contacts) {
    this.uploads = uploads;
    this.contacts = contacts;
  }

  @GetMapping(produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> picture(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    byte[] picture =
        contacts
            .picture(contacts.wanted(id, me.id()).id())
            .orElseThrow(() -> new Problem(HttpStatus.NOT_FOUND, "NO_PICTURE"));
    return ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).body(picture);
  }

  /** Put a picture to a contact: checked, made small, and stored as a new one. */
  @PutMapping(consumes = {"image/jpeg", "image/png", "image/gif"})
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(@AuthenticationPrincipal Employee me, @PathVariable long id, HttpServletRequest request)
      throws IOException {
    Contact contact = contacts.wanted(id, me.id());
    contacts.picture(contact, uploads.read(me.id(), request, Pictures::small));
  }

  @DeleteMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@AuthenticationPrincipal Employee me, @PathVariable long id) {
    contacts.picture(contacts.wanted(id, me.id()), null);
  }
}
