package oficina.server.calls;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.SendCommand;
import oficina.core.numbers.Dialled;
import oficina.core.office.Settings;
import oficina.core.people.CallerIdChoice;
import oficina.server.office.OfficeData;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The ways to send a call on. */
@RestController
@RequestMapping("/api/calls/{id}")
class SendingController {
  private final Commands commands;
  private final OfficeData office;

  SendingController(Commands commands, OfficeData office) {
    this.commands = commands;
    this.office = office;
  }

  /**
   * Where to send a call.
   *
   * @param callerId what an outside target is shown; absent for what the sender has chosen for all
   * @param mailbox whether their mailbox is meant, without ringing them; not when absent
   * @param unanswered where it goes when nobody takes it there; absent for what the office has set
   */
  record Target(
      @NotNull @Size(max = 5_000) String to,
      @Schema(nullable = true) @Nullable CallerIdChoice callerId,
      @Schema(nullable = true) @Nullable Boolean mailbox,
      @Schema(nullable = true) Settings.@Nullable Unanswered unanswered) {}

  /**
   * Whom to announce a call to.
   *
   * @param device the window that places the announcing call
   * @param callerId what an outside target is shown; absent for what the sender has chosen for all
   */
  record Announcing(
      @NotNull @Size(max = 5_000) String to,
      @NotNull @Pattern(regexp = CallController.DEVICE) String device,
      @Schema(nullable = true) @Nullable CallerIdChoice callerId) {}

  /** Send the other party on without speaking to the target first. */
  @PostMapping("/put-through")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putThrough(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Target target) {
    commands.carryOut(
        new SendCommand.PutThrough(
            new CallId(id), me.id(), dialled(target), target.callerId(), target.unanswered()));
  }

  /** Send a ringing call on without answering it. */
  @PostMapping("/deflect")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void deflect(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Target target) {
    commands.carryOut(
        new SendCommand.Deflect(new CallId(id), me.id(), dialled(target), target.callerId()));
  }

  /** Hold the call or conference and place another call to announce it, or to add somebody. */
  @PostMapping("/announce")
  @ResponseStatus(HttpStatus.CREATED)
  CallController.Placed announce(
      @AuthenticationPrincipal Employee me,
      @PathVariable String id,
      @Valid @RequestBody Announcing announcing) {
    CallId announcement = new CallId(UUID.randomUUID().toString());
    commands.carryOut(
        new SendCommand.Announce(
            new CallId(id),
            me.id(),
            announcement,
            new DeviceId(announcing.device()),
            dialled(announcing.to()),
            announcing.callerId()));
    return new CallController.Placed(announcement.value());
  }

  private Dialled dialled(Target target) {
    Dialled to = dialled(target.to());
    boolean mailbox = Boolean.TRUE.equals(target.mailbox());
    if (mailbox && to.extension() == null && to.refused() == null) {
      throw new Problem(HttpStatus.CONFLICT, "NO_MAILBOX");
    }
    return mailbox && to.extension() != null ? new Dialled.Mailbox(to.extension()) : to;
  }

  private Dialled dialled(String to) {
    return office.plan().interpret(to);
  }
}
