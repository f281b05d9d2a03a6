package oficina.server.calls;

import jakarta.validation.Valid;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.SendCommand;
import oficina.server.passwords.Employee;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Calls into mailboxes, and out of them. */
@RestController
@RequestMapping("/api/calls/{id}")
class MailboxController {
  private final Commands commands;

  MailboxController(Commands commands) {
    this.commands = commands;
  }

  /** Speak with somebody who is leaving a message for oneself or a group of one's own. */
  @PostMapping("/take-from-mailbox")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody CallController.Answering answering) {
    commands.carryOut(
        new SendCommand.TakeFromMailbox(new CallId(id), me.id(), new DeviceId(answering.device())));
  }
}
