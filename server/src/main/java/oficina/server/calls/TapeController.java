package oficina.server.calls;

import oficina.core.call.CallId;
import oficina.core.commands.CallCommand;
import oficina.server.passwords.Employee;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Recording of calls in hand. */
@RestController
@RequestMapping("/api/calls/{id}")
class TapeController {
  private final Commands commands;

  TapeController(Commands commands) {
    this.commands = commands;
  }

  record Recorded(boolean on) {}

  /** Have one's own part in a call recorded from now on, or no longer. */
  @PostMapping("/recorded")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void recorded(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @RequestBody Recorded recorded) {
    commands.carryOut(new CallCommand.Tape(new CallId(id), me.id(), recorded.on()));
  }
}
