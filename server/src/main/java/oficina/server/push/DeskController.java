package oficina.server.push;

import oficina.server.passwords.Employee;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The desk as a resource, for whoever does without the WebSocket. */
@RestController
class DeskController {
  private final Pushes pushes;

  DeskController(Pushes pushes) {
    this.pushes = pushes;
  }

  /** One's calls in hand and everybody's state; the same that the WebSocket /api/push pushes. */
  @GetMapping("/api/desk")
  DeskPicture desk(@AuthenticationPrincipal Employee me) {
    return pushes.whole(me.id());
  }
}
