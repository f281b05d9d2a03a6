package oficina.server.calls;

import jakarta.validation.Valid;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.ConferenceCommand;
import oficina.server.passwords.Employee;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Bringing people together, and ordering who is heard. */
@RestController
@RequestMapping("/api/calls/{id}")
class ConferenceController {
  private final Commands commands;

  ConferenceController(Commands commands) {
    this.commands = commands;
  }

  record Muting(boolean on) {}

  /** Have a member heard by nobody, or heard again. */
  @PostMapping("/members/{leg}/mute")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void mute(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @PathVariable int leg,
      @RequestBody Muting muting) {
    commands.carryOut(new ConferenceCommand.MuteMember(new CallId(id), me.id(), leg, muting.on()));
  }

  /** Take a member out of the conference. */
  @DeleteMapping("/members/{leg}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@AuthenticationPrincipal Employee me, @PathVariable String id, @PathVariable int leg) {
    commands.carryOut(new ConferenceCommand.Drop(new CallId(id), me.id(), leg));
  }

  /** Speak with one member alone, in a call of its own. Joining it to the conference ends that. */
  @PostMapping("/members/{leg}/aside")
  @ResponseStatus(HttpStatus.CREATED)
  CallController.Placed aside(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @PathVariable int leg,
      @Valid @RequestBody CallController.Answering answering) {
    CallId aside = new CallId(UUID.randomUUID().toString());
    commands.carryOut(
        new ConferenceCommand.TakeAside(
            new CallId(id), me.id(), leg, aside, new DeviceId(answering.device())));
    return new CallController.Placed(aside.value());
  }
}
