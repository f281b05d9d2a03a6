package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import oficina.core.call.CallId;
import oficina.core.call.DeviceId;
import oficina.core.commands.Command;
import oficina.core.commands.OfficeCommand;
import oficina.core.commands.SendCommand;
import oficina.core.people.GroupId;
import oficina.core.people.PersonId;
import oficina.server.calls.Commands;
import oficina.server.passwords.Employee;
import oficina.server.queues.LeadLogStore.Done;
import oficina.server.time.MovableClock;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What somebody who leads a line does there, each of it logged. Who may, the exchange knows. */
@RestController
@RequestMapping("/api/queues/{line}")
class LeadController {
  private final Commands commands;
  private final LeadLogStore log;
  private final MovableClock clock;

  LeadController(Commands commands, LeadLogStore log, MovableClock clock) {
    this.commands = commands;
    this.log = log;
    this.clock = clock;
  }

  /**
   * @param reason why they are to rest; absent for none
   */
  record Deciding(
      boolean takesPart, @Schema(nullable = true) @Size(max = 60) @Nullable String reason) {}

  /** Have a member take part, or rest. */
  @PutMapping("/members/{person}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void member(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @PathVariable long person,
      @Valid @RequestBody Deciding part) {
    GroupId at = new GroupId(line);
    PersonId whom = new PersonId(person);
    String reason = part.reason() == null ? "" : part.reason().strip();
    carryOut(
        new OfficeCommand.TakePart(whom, at, !part.takesPart(), reason, me.id()),
        new Done(at, me.id(), part.takesPart() ? "TAKES_PART" : "RESTS", whom, null, reason));
  }

  record TakingWaiting(@NotBlank String device) {}

  /** Speak with a caller out of turn. */
  @PostMapping("/waiting/{call}/take")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void take(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @PathVariable String call,
      @Valid @RequestBody TakingWaiting taking) {
    CallId id = new CallId(call);
    carryOut(
        new SendCommand.TakeWaiting(id, me.id(), new DeviceId(taking.device())),
        new Done(new GroupId(line), me.id(), "TOOK", null, id, ""));
  }

  record Moving(long to) {}

  /** Have a caller wait at another line. */
  @PostMapping("/waiting/{call}/move")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void move(
      @AuthenticationPrincipal Employee me,
      @PathVariable long line,
      @PathVariable String call,
      @Valid @RequestBody Moving moving) {
    CallId id = new CallId(call);
    GroupId to = new GroupId(moving.to());
    carryOut(
        new SendCommand.MoveWaiting(id, me.id(), to),
        new Done(new GroupId(line), me.id(), "MOVED", null, id, to.toString()));
  }

  private void carryOut(Command command, Done done) {
    commands.carryOut(command);
    log.add(done, clock.instant());
  }
}
