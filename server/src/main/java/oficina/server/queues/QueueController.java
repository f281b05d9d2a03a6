package oficina.server.queues;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.Duration;
import oficina.core.commands.OfficeCommand;
import oficina.server.calls.Commands;
import oficina.server.passwords.Employee;
import oficina.server.problems.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** How it stands at the lines that keep callers, and how the reader stands as a member. */
@RestController
@RequestMapping("/api/queues")
class QueueController {
  private final QueueViews views;
  private final Commands commands;

  QueueController(QueueViews views, Commands commands) {
    this.views = views;
    this.commands = commands;
  }

  /**
   * The reader's own lines, or all of them.
   *
   * @param all of the whole office; for administrators
   */
  @GetMapping
  Queues queues(
      @AuthenticationPrincipal Employee me, @RequestParam(defaultValue = "false") boolean all) {
    if (all && !me.isAdministrator()) {
      throw new Problem(HttpStatus.FORBIDDEN, "NOT_ADMINISTRATOR");
    }
    return all ? views.all(me) : views.own(me);
  }

  /**
   * @param seconds how much longer; absent when one is done
   */
  record FinishingLonger(@Schema(nullable = true) @Min(1) @Max(1800) @Nullable Integer seconds) {}

  /** Be done with writing down what a call was about, or take longer. */
  @PostMapping("/finishing")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void finish(@AuthenticationPrincipal Employee me, @Valid @RequestBody FinishingLonger more) {
    Duration longer = more.seconds() == null ? null : Duration.ofSeconds(more.seconds());
    commands.carryOut(new OfficeCommand.Finish(me.id(), longer));
  }
}
