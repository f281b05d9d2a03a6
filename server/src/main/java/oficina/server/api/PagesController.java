package oficina.server.api;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The addresses of views, which are all one page. */
@Controller
class PagesController {
  @GetMapping({
    "/desk",
    "/history",
    "/history/recordings",
    "/history/follow-ups",
    "/voicemail",
    "/contacts",
    "/queues",
    "/office",
    "/new-password",
    "/rules",
    "/outside",
    "/phone",
    "/sign-in"
  })
  String page() {
    return "forward:/index.html";
  }
}
